import type { WishBody } from '@red-shelf/contract';
import { router } from 'expo-router';
import { Button } from '../ui/Button';
import { useGapActs } from './acts';

/** Puts something on the shopping list; what is on it leads there. */
export function ListButton({ wish }: { readonly wish: WishBody }) {
  const { isListed, list } = useGapActs();
  if (isListed(wish))
    return (
      <Button
        label="On the list"
        says={`${wish.name} is on the shopping list`}
        icon="check"
        onPress={() => router.push('/gaps/shopping')}
      />
    );
  return (
    <Button label="To the list" says={`To the shopping list: ${wish.name}`} onPress={() => list(wish)} />
  );
}
