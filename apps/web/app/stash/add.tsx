import { AddScreen } from '../../src/stash/AddScreen';

export default function Add() {
  return <AddScreen />;
}
