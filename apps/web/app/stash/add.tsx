import { AddScreen } from '../../src/intake/AddScreen';

export default function Add() {
  return <AddScreen />;
}
