'use client';

import { Plus } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { counted, inThousands } from '@/core/base/words';
import type { ChallengesView } from '@/server/views/challenges';
import { SquadTabs } from '@/features/players/squad-tabs';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { PageHead, Sheet } from '@/ui/page-head';
import { usePart } from '@/ui/use-part';
import { daysLeftWords, kindWords } from './words';

const loadForm = () => import('./challenge-form');

/** All challenges, and a button to make one. */
export function ChallengesPage({ view }: { readonly view: ChallengesView }) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  const { challenges, squad, today } = view;
  return (
    <>
      <PageHead
        title="Squad"
        actions={
          squad.length > 0 && (
            <Button look="now" onClick={() => setOpen(true)}>
              <Plus aria-hidden size={18} /> Make a challenge
            </Button>
          )
        }
      >
        {counted(challenges.length, 'challenge')}. Boards show progress; nobody is ranked unless you ask for
        it.
      </PageHead>
      <SquadTabs here="Challenges" />
      {challenges.length === 0 ? (
        <p className="text-soft">
          A challenge keeps them going: a new best for everybody, so many touches together, or level ground,
          where the youngest can win. Press “Make a challenge”.
        </p>
      ) : (
        <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
          {challenges.map((one) => {
            const won = one.board.lines.filter((line) => line.won).length;
            return (
              <li key={one.id}>
                <Sheet className="h-full p-4" aria-label={one.title}>
                  <p className="flex justify-between gap-2 text-sm text-soft">
                    <span>{kindWords[one.kind][0]}</span>
                    <span className="font-semibold">{daysLeftWords(one)}</span>
                  </p>
                  <h2 className="text-xl">
                    <Link href={`/challenges/${one.id}`} className="hit underline-offset-4 hover:underline">
                      {one.title}
                    </Link>
                  </h2>
                  <p className="text-sm">
                    {one.drill}: {one.step}
                  </p>
                  <p className="mt-1 font-semibold">
                    {one.kind === 'pairs'
                      ? `Longest in turn: ${Math.max(0, ...one.pairs.map(({ result }) => result))} of ${inThousands(one.goal ?? 0)}`
                      : one.kind === 'together'
                        ? `${inThousands(one.board.together)} of ${inThousands(one.goal ?? 0)} touches`
                        : `${won} of ${counted(one.board.lines.length, 'player')} ${one.kind === 'best' ? 'with a new best' : 'above what was to be expected'}`}
                  </p>
                </Sheet>
              </li>
            );
          })}
        </ul>
      )}
      <Dialog
        open={open && form !== null}
        onOpenChange={setOpen}
        title="Make a challenge"
        intro="Half a minute: which step, which kind, how long, who."
      >
        {form && <form.ChallengeFields squad={squad} today={today} onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}
