import type { Metadata } from 'next';
import { Files } from '@/features/files/files';
import { pageContext } from '@/server/access/door';
import { filesView } from '@/server/views/files';

export const metadata: Metadata = { title: 'Files' };

export default async function FilesPage() {
  return <Files view={await filesView(await pageContext())} />;
}
