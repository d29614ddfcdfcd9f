import { ArrangeScreen } from '../../src/arrange/ArrangeScreen';

export default function Arrange() {
  return <ArrangeScreen />;
}
