import { TagsScreen } from '../../src/stash/TagsScreen';

export default function Tags() {
  return <TagsScreen />;
}
