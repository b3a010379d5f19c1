import Link from 'next/link';
import { counted } from '@/core/words';
import type { CopyFacts, SettingsView } from '@/server/views/settings';
import { buttonClass } from '@/ui/button';
import { momentAt } from '@/ui/dates';
import { PageHead, Sheet } from '@/ui/page-head';
import { CopyNow } from './copy-now';

const megabytes = (bytes: number) => `${(bytes / 1_000_000).toFixed(1)} MB`;

const inWords = (holds: NonNullable<CopyFacts['holds']>) =>
  [counted(holds.players, 'player'), counted(holds.sessions, 'session'), counted(holds.marks, 'mark')].join(
    ', ',
  );

/** Where the book is, its copies, and what is running. */
export function Settings({ view }: { readonly view: SettingsView }) {
  const { file, holds, copies } = view;
  return (
    <>
      <PageHead title="Settings" actions={file && <CopyNow />}>
        {file
          ? 'The book is copied once a day by itself: seven days and four weeks are kept, beside the book.'
          : 'The book is on a libSQL server: it is copied there, with what that server has for it.'}
      </PageHead>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_22rem]">
        <Sheet className="p-4" aria-label="Copies">
          <h2 className="text-lg">Copies of the book</h2>
          {copies.length === 0 && <p className="text-soft">None yet.</p>}
          <ul>
            {copies.map((copy) => (
              <Copy key={copy.name} copy={copy} now={holds} />
            ))}
          </ul>
          {copies.length > 0 && (
            <p className="mt-2 text-sm text-soft">
              To put one back, end Vow Step and type{' '}
              <code className="rounded-sm bg-chalk px-1 font-semibold text-ink">npm run restore FILE</code>.
              The copy is looked through first, the book that is there is kept, and tablets offer again what
              the copy lacks. A child who was removed for good comes back with a copy made before.
            </p>
          )}
        </Sheet>
        <div className="space-y-4">
          <Sheet className="p-4" aria-label="The book">
            <h2 className="text-lg">The book</h2>
            <dl>
              <Fact name="File">{file ?? 'on a libSQL server'}</Fact>
              {holds && <Fact name="Holds">{inWords(holds)}</Fact>}
              <Fact name="Its version">{view.schema ?? 'not known'}</Fact>
            </dl>
          </Sheet>
          <Sheet className="p-4" aria-label="Vow Step">
            <h2 className="text-lg">Vow Step</h2>
            <dl>
              <Fact name="Version">{view.version}</Fact>
              <Fact name="Build">{view.build || 'not built'}</Fact>
              <Fact name="Your time zone">{view.zone || 'the server’s'}</Fact>
            </dl>
            <p className="mt-2">
              <Link href="/removed" className="hit font-semibold underline underline-offset-4 touch:py-3">
                Everything removed
              </Link>
            </p>
          </Sheet>
        </div>
      </div>
    </>
  );
}

function Copy({ copy, now }: { readonly copy: CopyFacts; readonly now: CopyFacts['holds'] }) {
  const { name, bytes, madeMs, holds } = copy;
  const lacks = holds && now ? now.marks - holds.marks : 0;
  // Only what stands in the folder of copies can be taken away by its name.
  const own = name.endsWith('.db');
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-t border-line py-1.5" data-copy>
      <div className="min-w-56 flex-1">
        <p className="font-semibold break-all">{name}</p>
        <p className="text-sm text-soft">
          {momentAt(madeMs)}, {megabytes(bytes)}; {holds ? inWords(holds) : 'it cannot be read'}
          {lacks > 0 && `; ${counted(lacks, 'mark')} fewer than now`}
        </p>
      </div>
      {own && (
        <a className={buttonClass()} href={`/api/copies/${name}`} download>
          Take away<span className="sr-only"> {name}</span>
        </a>
      )}
    </li>
  );
}

function Fact({ name, children }: { readonly name: string; readonly children: React.ReactNode }) {
  return (
    <div className="border-t border-line py-1">
      <dt className="text-sm text-soft">{name}</dt>
      <dd className="break-all">{children}</dd>
    </div>
  );
}
