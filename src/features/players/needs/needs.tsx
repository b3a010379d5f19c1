'use client';

import {
  ArrowUp,
  CalendarPlus,
  Hand,
  Hourglass,
  Layers,
  Minus,
  NotebookPen,
  Star,
  TrendingDown,
  Undo2,
  type LucideIcon,
  House,
} from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { counted } from '@/core/base/words';
import { addToSessionAction } from '@/server/actions';
import { removeCountingAction, sayCountingAction } from '@/server/actions/judgement';
import type { NeedsView } from '@/server/views/needs';
import type { Need, NeedKind } from '@/session/skill/needs';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { shortDay } from '@/ui/dates';
import { PageHead, Sheet } from '@/ui/page-head';
import { StageBall } from '@/ui/stage-ball';
import { useNotice } from '@/ui/toast';
import { SquadTabs } from '../squad-tabs';

const looks: Readonly<Record<NeedKind, readonly [title: string, icon: LucideIcon]>> = {
  sliding: ['Sliding', TrendingDown],
  'back after a break': ['Back after a break', Undo2],
  'few touches': ['Few touches', Hourglass],
  stuck: ['Stuck', Minus],
  'ready to move': ['Ready to move', ArrowUp],
  'close to a best': ['Close to a best', Star],
  'much of one thing': ['Much of one thing', Layers],
  counting: ['A word about counting', Hand],
};

/** What a few minutes a day at home help with. */
const vowHelps: ReadonlySet<NeedKind> = new Set<NeedKind>([
  'few touches',
  'stuck',
  'close to a best',
  'sliding',
]);

/** Who needs the coach: a sentence each, with one press to act. */
export function NeedsPage({ view }: { readonly view: NeedsView }) {
  const { needs } = view;
  const kinds = [...new Set(needs.map(({ kind }) => kind))];
  return (
    <>
      <PageHead title="Squad">
        {needs.length === 0
          ? 'Nobody stands out.'
          : `${counted(needs.length, 'thing')} to look at, from the counts of the last weeks.`}
      </PageHead>
      <SquadTabs here="Who needs you" />
      {needs.length === 0 && (
        <p className="text-soft">
          Here stands who has had few touches, is close to a best, ready to move, stuck or back after a break,
          once sessions are counted.
        </p>
      )}
      <div className="gap-4 lg:columns-2">
        {kinds.map((kind) => {
          const [title, Icon] = looks[kind];
          return (
            <Sheet key={kind} aria-label={title} className="mb-4 break-inside-avoid">
              <h2 className="flex items-center gap-2 border-b-2 border-ink px-3 pt-2 pb-1 text-lg">
                <Icon aria-hidden size={20} /> {title}
              </h2>
              <ul>
                {needs
                  .filter((need) => need.kind === kind)
                  .map((need) => (
                    <NeedRow key={need.playerId + need.sentence} need={need} view={view} />
                  ))}
              </ul>
            </Sheet>
          );
        })}
      </div>
    </>
  );
}

function NeedRow({ need, view }: { readonly need: Need; readonly view: NeedsView }) {
  const player = view.players.find(({ id }) => id === need.playerId)!;
  const next = view.next[player.id];
  const { drillId } = need;
  return (
    <li
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-3 py-2 last:border-0"
      data-need={need.kind}
      data-player={player.name}
    >
      <StageBall stage={player.stage} sport={player.sport} />
      <p className="min-w-56 flex-1 text-sm">
        <Link
          href={`/players/${player.id}/progress${drillId ? `?drill=${drillId}` : ''}`}
          className="hit text-base font-semibold underline-offset-4 hover:underline"
        >
          {player.name}
        </Link>
        <br />
        {need.sentence}
      </p>
      {!need.doubt && vowHelps.has(need.kind) && (
        <ButtonLink
          className="px-2 text-sm"
          href={`/vows/new?player=${player.id}${drillId ? `&drill=${drillId}` : ''}&from=/squad/needs`}
        >
          <House aria-hidden size={16} /> Make a vow
        </ButtonLink>
      )}
      {need.doubt ? (
        <CountingWords need={need} name={player.name} sessions={view.sessions} />
      ) : drillId && next ? (
        <PutIntoNext drillId={drillId} next={next} name={player.name} />
      ) : (
        <ButtonLink look="plain" href={`/players/${player.id}#notes`} className="px-2 text-sm">
          <NotebookPen aria-hidden size={16} /> Note
        </ButtonLink>
      )}
    </li>
  );
}

function PutIntoNext({
  drillId,
  next,
  name,
}: {
  readonly drillId: string;
  readonly next: NeedsView['next'][string];
  readonly name: string;
}) {
  const isIn = next.drillIds.includes(drillId);
  const [state, setState] = useState<'open' | 'busy' | 'done'>(isIn ? 'done' : 'open');
  const notice = useNotice();
  const put = async () => {
    setState('busy');
    const outcome = await ask(() => addToSessionAction(next.id, drillId));
    setState(outcome.ok ? 'done' : 'open');
    notice(
      outcome.ok
        ? { text: `It is at the end of ${next.title}, ${shortDay(next.day)}.` }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  if (state === 'done')
    return (
      <ButtonLink look="quiet" href={`/sessions/${next.id}/plan`} className="px-2 text-sm">
        {isIn ? `In the plan of ${shortDay(next.day)}` : 'Open the plan'}
      </ButtonLink>
    );
  return (
    <Button
      className="px-2 text-sm"
      disabled={state === 'busy'}
      onClick={() => void put()}
      aria-label={`Into ${shortDay(next.day)}: ${next.title}, for ${name}`}
    >
      <CalendarPlus aria-hidden size={16} /> Into {shortDay(next.day)}
    </Button>
  );
}

/** The coach's word on a count: nothing is changed without it. */
function CountingWords({
  need,
  name,
  sessions,
}: {
  readonly need: Need;
  readonly name: string;
  readonly sessions: NeedsView['sessions'];
}) {
  const where = new Map(
    (need.blockIds ?? []).flatMap((id) => (sessions[id] ? [[sessions[id].id, sessions[id]] as const] : [])),
  );
  const notice = useNotice();
  const say = async (word: 'right' | 'half') => {
    const outcome = await ask(() => sayCountingAction(need.playerId, { doubt: need.doubt, word }));
    if (!outcome.ok) return notice({ text: problemsText(outcome), tone: 'stop' });
    const { id } = outcome.value;
    notice({
      text:
        word === 'right'
          ? `${name} counted right: settled.`
          : `What ${name} counted until today weighs half from now on.`,
      undo: () => void removeCountingAction(id, true),
    });
  };
  return (
    <span className="flex flex-wrap gap-1" role="group" aria-label={`A word on how ${name} counts`}>
      <Button className="px-2 text-sm" onClick={() => void say('right')}>
        Counted right
      </Button>
      {[...where.values()].map(({ id, title, day }, at) => (
        <ButtonLink
          key={id}
          look="plain"
          href={`/sessions/${id}/counts`}
          className="px-2 text-sm"
          aria-label={`${at === 0 ? `Correct ${shortDay(day)}` : shortDay(day)}: ${title}`}
        >
          {at === 0 ? `Correct ${shortDay(day)}` : shortDay(day)}
        </ButtonLink>
      ))}
      {where.size === 0 && (
        <ButtonLink look="plain" href={`/players/${need.playerId}/vows`} className="px-2 text-sm">
          Look at what came from home
        </ButtonLink>
      )}
      <Button className="px-2 text-sm" onClick={() => void say('half')}>
        Count it half
      </Button>
    </span>
  );
}
