import { SettingsScreen } from '../../src/settings/SettingsScreen';

export default function Settings() {
  return <SettingsScreen />;
}
