import { copiesWithFacts, holdsOf, type CopyFacts } from '@/data/copies';
import { listCoaches, openSignIns, type CoachRow } from '@/data/coaches';
import { schemaVersion } from '@/data/health';
import { openLinks, type OpenLinkRow } from '@/data/links';
import packageJson from '../../../package.json';
import { actorOf } from '../base/actor';
import { buildId } from '../base/build-id';
import type { Context } from '../base/context';
import type { FirstDay } from '@/core/plan/weekly';
import { may } from '../access/may';
import { licences, type Licence } from '../files/licences';
import { idleMs } from '../access/sign-in';
import { auditLines, type AuditLine } from '../readers/audit';

export type { CopyFacts, AuditLine, OpenLinkRow };

export interface CoachFacts extends Pick<CoachRow, 'id' | 'name' | 'role'> {
  /** Browsers they are signed in with. */
  readonly open: number;
}

/** What only an owner sees: the book's file and copies, who comes in, what links open, what was done. */
export interface OwnersView {
  /** The book's file; null on a libSQL server, where copies are made there. */
  readonly file: string | null;
  readonly holds: CopyFacts['holds'];
  readonly copies: readonly CopyFacts[];
  readonly coaches: readonly CoachFacts[];
  readonly links: readonly OpenLinkRow[];
  readonly audit: { readonly lines: readonly AuditLine[]; readonly more: boolean };
}

/** What runs here, who is signed in, and for an owner all that is theirs to keep. */
export interface SettingsView {
  /** Who is signed in; null while nobody has a passcode. */
  readonly me: Pick<CoachRow, 'id' | 'name' | 'role'> | null;
  readonly owners: OwnersView | null;
  readonly version: string;
  readonly build: string;
  readonly schema: number | null;
  readonly zone: string;
  readonly firstDay: FirstDay;
  /** Where it answers, as it was started. */
  readonly address: string;
  /** Licences of what ships. */
  readonly licences: readonly Licence[];
}

export async function settingsView(context: Context): Promise<SettingsView> {
  const { db, zone = '' } = context;
  const actor = actorOf(context);
  const me =
    actor.kind === 'coach' && actor.id !== null ? { id: actor.id, name: actor.name, role: actor.role } : null;
  const [owners, schema] = await Promise.all([
    may(actor, 'rule') ? ownersView(context) : null,
    schemaVersion(db),
  ]);
  return {
    me,
    owners,
    schema,
    zone,
    version: packageJson.version,
    build: buildId(),
    firstDay: context.firstDay ?? 'monday',
    address: process.env.VOWSTEP_ADDRESS ?? '',
    licences: licences(),
  };
}

async function ownersView({ db, nowMs }: Context): Promise<OwnersView> {
  const file = db.$file?.path ?? null;
  const [holds, copies, coaches, open, links, audit] = await Promise.all([
    file ? holdsOf(file) : null,
    file ? copiesWithFacts(file) : [],
    listCoaches(db),
    openSignIns(db, nowMs - idleMs),
    openLinks(db, nowMs),
    auditLines(db, Number.MAX_SAFE_INTEGER),
  ]);
  return {
    file,
    holds,
    copies,
    links,
    audit,
    coaches: coaches.map(({ id, name, role }) => ({ id, name, role, open: open.get(id) ?? 0 })),
  };
}
