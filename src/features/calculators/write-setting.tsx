'use client';

import { PencilLine } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { settingFits } from '@/session/base/pace';
import type { BlockSetting } from '@/core/calculators/setting';
import { settingInWords } from '@/core/calculators/setting-words';
import { writeSettingAction } from '@/server/actions';
import type { Dose } from '@/core/dose/dose';
import type { Sport, Step } from '@/drills/base/types';
import type { BenchesView } from '@/server/views/benches';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { shortDay } from '@/ui/dates';
import { ErrorNote } from '@/ui/field';
import { useWholeBook } from '@/ui/whole-book';
import { Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { useUnits } from '@/ui/units';

export interface WriteSettingProps {
  readonly view: Pick<BenchesView, 'sessions'>;
  readonly kind: BlockSetting['kind'];
  /** The block to begin with; the player's next fitting one when empty. */
  readonly chosen: string;
  readonly playerId: string;
  /** Null while there is nothing to write. */
  readonly setting: BlockSetting | null;
  readonly what: string;
  /** The sport it is for, where that matters. */
  readonly sport?: Sport;
  /** Which steps it goes with, where not every step of a drill does. */
  readonly goesWith?: (step: Step) => boolean;
  /** What kind of block it goes into. */
  readonly into: string;
  /** The dose that comes with it, where it has rounds of its own. */
  readonly dose?: Dose;
}

/** One press writes what the bench found into a block of a plan; it can be taken back. */
export function WriteSetting(props: WriteSettingProps) {
  const { view, kind, chosen, playerId, setting, what, into, sport, goesWith, dose } = props;
  const { say } = useUnits();
  const book = useWholeBook();
  const notice = useNotice();
  const [problem, setProblem] = useState<string | null>(null);
  const [picked, setPicked] = useState(chosen);
  const blocks = view.sessions.flatMap((session) =>
    session.blocks.flatMap((block) => {
      const drill = book.drill(block.drillId);
      const step = book.step(block.drillId, block.stepId);
      if (!drill || !step || !settingFits(drill, { kind, ...(sport && { sport }) })) return [];
      if (goesWith && !goesWith(step)) return [];
      return [
        {
          session,
          block,
          title: `${session.title}, ${shortDay(session.day)}: ${drill.title}, ${step.title}`,
        },
      ];
    }),
  );
  const own = blocks.find(({ session }) => session.playerIds.includes(playerId));
  const now = blocks.find(({ block }) => block.id === picked) ?? own ?? blocks[0];
  const write = async (to: BlockSetting | null) => {
    if (!now) return;
    const { session, block } = now;
    const outcome = await ask(() => writeSettingAction(session.id, block.id, to, dose));
    if (!outcome.ok) return setProblem(problemsText(outcome));
    setProblem(null);
    const { before, dose: doseBefore } = outcome.value;
    notice({
      text: `Written into ${session.title}, ${shortDay(session.day)}.`,
      undo: () =>
        void ask(() => writeSettingAction(session.id, block.id, before, dose ? doseBefore : undefined)),
    });
  };
  if (!now)
    return (
      <p className="text-sm text-soft">
        No plan ahead has a block this could go into: put {into} into one first.
      </p>
    );
  return (
    <Sheet className="px-3 py-2 text-sm" aria-label="Into a plan">
      <div className="flex flex-wrap items-center gap-2 sm:flex-nowrap">
        <select
          aria-label="Block of a plan"
          value={now.block.id}
          onChange={(event) => setPicked(event.target.value)}
          className="min-h-9 touch:min-h-11 min-w-0 flex-auto basis-full rounded-md sm:flex-1 sm:basis-auto border-2 border-edge bg-sheet px-2"
        >
          {blocks.map(({ block, title }) => (
            <option key={block.id} value={block.id}>
              {title}
            </option>
          ))}
        </select>
        <Button
          look="now"
          className="min-h-9 touch:min-h-11 shrink-0 px-3"
          disabled={!setting}
          onClick={() => void write(setting)}
        >
          <PencilLine aria-hidden size={16} /> Write into this block
        </Button>
        <Link
          href={`/sessions/${now.session.id}/plan`}
          className="hit shrink-0 font-semibold underline underline-offset-4 touch:py-3"
        >
          Open the plan
        </Link>
      </div>
      <p className="mt-1 text-soft">
        {now.block.setting
          ? say(`There now: ${settingInWords(now.block.setting)}.`)
          : `${what} go into the block: its minutes and touches follow.`}
      </p>
      {problem && <ErrorNote>{problem}</ErrorNote>}
    </Sheet>
  );
}
