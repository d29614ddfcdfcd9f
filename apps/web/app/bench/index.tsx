import { BenchScreen } from '../../src/bench/BenchScreen';

export default function Bench() {
  return <BenchScreen />;
}
