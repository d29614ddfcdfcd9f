import { Text } from 'react-native';

export default function Empty() {
  return <Text>Nothing is here: this is what the framework alone weighs.</Text>;
}
