import type { Metadata } from 'next';
import { Settings } from '@/features/settings/settings';
import { pageContext } from '@/server/access/door';
import { settingsView } from '@/server/views/settings';

export const metadata: Metadata = { title: 'Settings' };

export default async function SettingsPage() {
  return <Settings view={await settingsView(await pageContext())} />;
}
