import { averageReadings, inkOn, type Lab } from '@red-shelf/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { ColourPicker } from './ColourPicker';
import { colour, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import type { TakenColour } from './taken';

/** Readings that make one colour. */
const READINGS = 3;
/** Readings this far apart were not held flat. */
const TOO_WIDE = 1.5;

interface ReaderWayProps {
  readonly hex: string;
  readonly onTake: (colour: TakenColour) => void;
}

/** The simulated handheld reader: hold it on a colour, take three readings, the mean counts. */
export function ReaderWay({ hex, onTake }: ReaderWayProps) {
  const [on, setOn] = useState(hex);
  const [readings, setReadings] = useState<readonly { hex: string; lab: Lab }[]>([]);
  const read = useMutation({
    mutationFn: () => call(routes.readColour, { body: { on } }),
    onSuccess: (reading) => setReadings((before) => [...before, reading]),
  });
  const enough = readings.length >= READINGS;
  const mean = averageReadings(readings.map(({ lab }) => lab));
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        <Txt look="quiet" style={styles.words}>
          Simulated reader. It is held on this colour:
        </Txt>
        <ColourPicker
          hex={on}
          onPick={(picked) => {
            setOn(picked);
            setReadings([]);
          }}
        />
      </View>
      <View style={styles.row}>
        {Array.from({ length: READINGS }, (_, i) => {
          const reading = readings[i];
          return (
            <View
              key={i}
              style={[styles.reading, reading ? { backgroundColor: reading.hex } : styles.waiting]}
              aria-label={reading ? `Reading ${i + 1}: ${reading.hex}` : `Reading ${i + 1} to come`}
            >
              <Txt look="label" style={reading ? { color: inkOn(reading.hex) } : {}}>
                {reading?.hex ?? String(i + 1)}
              </Txt>
            </View>
          );
        })}
      </View>
      {read.error && <Note sort="error">{read.error.message}</Note>}
      {!enough && (
        <Button
          label={`Take reading ${readings.length + 1} of ${READINGS}`}
          main
          busy={read.isPending}
          onPress={() => read.mutate()}
        />
      )}
      {enough && mean && (
        <>
          {mean.spread > TOO_WIDE && (
            <Note sort="attention">
              The readings differ a lot. Hold the reader flat, and take them again.
            </Note>
          )}
          <Txt>
            Mean {mean.hex}, readings {mean.spread.toFixed(1)} ΔE apart
          </Txt>
          <View style={styles.row}>
            <Button
              label={`Take ${mean.hex}`}
              main
              grow
              onPress={() => onTake({ hex: mean.hex, taken: 'reader', spread: mean.spread })}
            />
            <Button label="Read again" onPress={() => setReadings([])} />
          </View>
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', gap: space.s, alignItems: 'center' },
  words: { flex: 1 },
  reading: {
    flex: 1,
    height: 56,
    borderRadius: radius.s,
    borderWidth: 1,
    borderColor: colour.hairline,
    alignItems: 'center',
    justifyContent: 'center',
  },
  waiting: { borderStyle: 'dotted', borderColor: colour.openSlot },
});
