import { Link } from '@/ui/link';
import type { SettingsView } from '@/server/views/settings';
import { pack } from '@/ui/packed';
import { PageHead, Sheet } from '@/ui/page-head';
import { AuditList } from './audit-list';
import { Coaches } from './coaches';
import { Copies } from './copies';
import { CopyNow } from './copy-now';
import { Fact } from './fact';
import { FirstDayChoice } from './first-day';
import { LengthsChoice } from './lengths';
import { LicenceList } from './licence-list';
import { holdsInWords } from './holds-in-words';
import { Links } from './links';
import { SignedInAs } from './signed-in';

/** Who comes in, what opens, where the book is and its copies, what was done, and what is running. */
export function Settings({ view }: { readonly view: SettingsView }) {
  const { me, owners } = view;
  const zone = view.zone || undefined;
  return (
    <>
      <PageHead title="Settings" actions={owners?.file && <CopyNow />}>
        {owners?.file
          ? 'The book is copied once a day by itself: seven days and four weeks are kept, beside the book.'
          : owners
            ? 'The book is on a libSQL server: it is copied there, with what that server has for it.'
            : 'Coaches, links and copies are an owner’s.'}
      </PageHead>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_22rem]">
        <div className="min-w-0 space-y-4">
          {owners && (
            <>
              <Coaches coaches={owners.coaches} me={me} />
              {owners.file && <Copies owners={owners} zone={zone} />}
              <Links links={owners.links} zone={zone} />
              <AuditList first={owners.audit} zone={zone} />
            </>
          )}
        </div>
        <div className="space-y-4">
          {me && <SignedInAs me={me} />}
          {owners && (
            <Sheet className="p-4" aria-label="The book">
              <h2 className="text-lg">The book</h2>
              <dl>
                <Fact name="File">{owners.file ?? 'on a libSQL server'}</Fact>
                {owners.holds && <Fact name="Holds">{holdsInWords(owners.holds)}</Fact>}
                <Fact name="Its version">{view.schema ?? 'not known'}</Fact>
              </dl>
            </Sheet>
          )}
          <Sheet className="p-4" aria-label="Vow Step">
            <h2 className="text-lg">Vow Step</h2>
            <dl>
              <Fact name="Version">{view.version}</Fact>
              <Fact name="Build">{view.build || 'not built'}</Fact>
              {view.address && <Fact name="Answers at">{view.address}</Fact>}
              <Fact name="Your time zone">{view.zone || 'the server’s'}</Fact>
            </dl>
            <p className="pt-2">
              <Link href="/schools" className="font-semibold underline underline-offset-4">
                Teaching styles
              </Link>
              : where coaches differ, and what holds here.
            </p>
            <FirstDayChoice firstDay={view.firstDay} />
            <LengthsChoice />
            <LicenceList count={view.licences.length} list={pack(view.licences)} />
            <p className="mt-2 flex flex-col items-start gap-1">
              <Link href="/files" className="hit font-semibold underline underline-offset-4 touch:py-3">
                Files in and out
              </Link>
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
