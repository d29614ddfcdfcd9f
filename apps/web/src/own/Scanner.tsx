import { useQuery } from '@tanstack/react-query';
import { StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';

/** The simulated barcode scanner: point it at one of the things that lie about. A real one types into the search field. */
export function Scanner({ onScan }: { readonly onScan: (barcode: string) => void }) {
  const { data } = useQuery({
    queryKey: ['scannables'],
    queryFn: () => call(routes.scannables),
  });
  return (
    <View style={styles.box}>
      <Txt look="quiet">Simulated scanner. Point it at:</Txt>
      {(data?.things ?? []).map(({ label, barcode }) => (
        <Button key={barcode} label={label} says={`Scan ${label}`} onPress={() => onScan(barcode)} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: {
    gap: space.s,
    padding: space.m - 4,
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
});
