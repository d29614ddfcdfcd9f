import { settledAt, type ScaleReading } from '@red-shelf/core';
import { useEffect, useRef, useState } from 'react';
import { ScaleStandIn } from './standIn';

/** So often it is read, ms, and so many readings are kept. */
const EVERY_MS = 150;
const KEPT = 20;

export interface Weighing {
  /** What it shows, mg. */
  readonly mg: number;
  /** Where it has settled, mg; null while it moves. */
  readonly settled: number | null;
  readonly tare: () => void;
  /** What lies on the stand-in now, mg. */
  readonly put: (mg: number) => void;
}

/** The simulated scale, read while this is on the page. */
export function useScale(): Weighing {
  const scale = useRef<ScaleStandIn>(null);
  const stand = (scale.current ??= new ScaleStandIn());
  const [readings, setReadings] = useState<readonly ScaleReading[]>([]);
  useEffect(() => {
    const timer = setInterval(
      () => setReadings((before) => [...before.slice(1 - KEPT), stand.read()]),
      EVERY_MS,
    );
    return () => clearInterval(timer);
  }, [stand]);
  /** What it showed before says nothing of what lies there now. */
  const afresh = (act: () => void): void => {
    act();
    setReadings([]);
  };
  return {
    mg: readings.at(-1)?.mg ?? 0,
    settled: settledAt(readings),
    tare: () => afresh(() => stand.tare()),
    put: (mg) => afresh(() => stand.put(mg)),
  };
}
