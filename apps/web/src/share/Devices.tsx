import { namedDevice, type DeviceView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useShareActs } from '../api/useShare';
import { useAsk } from '../form/useAsk';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

interface DevicesProps {
  readonly devices: readonly DeviceView[];
  readonly onShutOut: (id: string) => void;
  /** What shutting out is called here. */
  readonly act: string;
}

const when = (time: string): string => format(new Date(time), 'd MMM yyyy, HH:mm');

/** Who was let in: named, and shut out. */
export function Devices({ devices, onShutOut, act }: DevicesProps) {
  return (
    <View role="list" style={styles.list}>
      {devices.map((device) => (
        <Device key={device.id} device={device} act={act} onShutOut={onShutOut} />
      ))}
    </View>
  );
}

function Device({ device, act, onShutOut }: Omit<DevicesProps, 'devices'> & { readonly device: DeviceView }) {
  const [naming, setNaming] = useState(false);
  const { id, name, since, seen } = device;
  return (
    <View role="listitem" style={styles.row}>
      <View style={styles.said}>
        <Txt look="strong">{name}</Txt>
        <Txt look="quiet">{`Let in ${when(since)} · last here ${when(seen)}`}</Txt>
      </View>
      {naming ? (
        <Rename device={device} onDone={() => setNaming(false)} />
      ) : (
        <View style={styles.acts}>
          <Button label="Rename" says={`Rename ${name}`} onPress={() => setNaming(true)} />
          <Button label={act} says={`${act}: ${name}`} onPress={() => onShutOut(id)} />
        </View>
      )}
    </View>
  );
}

function Rename({ device, onDone }: { readonly device: DeviceView; readonly onDone: () => void }) {
  const { name: rename } = useShareActs();
  const { control, submit } = useAsk(`device-${device.id}`, namedDevice, { name: device.name });
  const keep = (): void =>
    void submit(({ name }) => rename.mutateAsync({ id: device.id, name }).then(onDone));
  return (
    <View style={styles.rename}>
      <Field control={control} name="name" label="Name of this device" autoFocus onSubmit={keep} />
      <View style={styles.acts}>
        <Button label="Keep the name" main onPress={keep} />
        <Button label="Leave it" onPress={onDone} />
      </View>
      {rename.error && <Note sort="error">{rename.error.message}</Note>}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space.s },
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: space.s,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.hairline,
  },
  said: { flexShrink: 1, gap: 2 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  rename: { gap: space.s, flexGrow: 1, minWidth: 240 },
});
