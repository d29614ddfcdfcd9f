import { TagsScreen } from '../../src/review/TagsScreen';

export default function Tags() {
  return <TagsScreen />;
}
