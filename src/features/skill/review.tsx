'use client';

import { Check, Trophy } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import type { Book } from '@/drills';
import { findChange, isEased } from '@/drills/base/changes';
import { workOf } from '@/session/base/plan';
import { doseInWords } from '@/core/dose/dose';
import { counted } from '@/core/base/words';
import { decideAction } from '@/server/actions';
import type { DecisionForm } from '@/schemas/decision';
import type { ReviewBlock, SessionReviewView } from '@/server/views/session-review';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { cx } from '@/ui/class-names';
import { shortDay } from '@/ui/dates';
import { ErrorNote } from '@/ui/field';
import { usePageBook } from '@/ui/house';
import { packedPage } from '@/ui/packed-page';
import { PageHead, Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { PlanAgain } from '@/features/plan/sessions/again';
import { WhoIsHere } from '@/features/plan/sessions/attendance';
import { CorrectBlock, CorrectDay } from './correct';
import { ReviewLineRow } from './review-line';
import { ReviewNotes } from './review-notes';
import { ReviewVows } from './review-vows';

/** The review as its page gives it. */
export const ReviewPage = packedPage<SessionReviewView, { at?: string }>(Review);

/** What each player did, what comes next, and the coach's word on it. */
export function Review({ view, at }: { view: SessionReviewView; at?: string }) {
  const { session, blocks } = view;
  const book = usePageBook(session.coach);
  const withCounts = blocks.filter((block) => block.lines.length > 0);
  const withJudged = withCounts.find((block) => block.lines.some((line) => !line.whole));
  const [chosen, setChosen] = useState(
    (blocks.find((one) => one.id === at) ?? withJudged ?? withCounts[0] ?? blocks[0])?.id ?? null,
  );
  const [problem, setProblem] = useState<string | null>(null);
  const notice = useNotice();
  const block = blocks.find((one) => one.id === chosen);
  const open = blocks.flatMap((one) =>
    one.lines.filter((line) => !line.decided && !line.whole).map((line) => [one, line] as const),
  );

  const decide = async (decisions: DecisionForm[], text: string) => {
    const outcome = await ask(() => decideAction(decisions));
    setProblem(outcome.ok ? null : outcome.problems.map((one) => one.message).join(' '));
    if (outcome.ok) notice({ text });
  };
  const acceptAll = () =>
    decide(
      open.map(([{ id: blockId }, { playerId, schools, leads }]) => {
        const { byDefault } = schools;
        const { verdict } = byDefault;
        return {
          blockId,
          playerId,
          verdict,
          target: verdict === 'hold' ? byDefault.target : leads[verdict].target,
        };
      }),
      `${counted(open.length, 'proposal')} accepted. Each can still be changed.`,
    );

  return (
    <>
      <PageHead
        title={`Review: ${session.title}`}
        actions={
          <>
            <WhoIsHere sessionId={session.id} players={view.players} said={view.attendance} />
            <PlanAgain session={session} today={view.today} />
            <ButtonLink href={`/sessions/${session.id}/plan`}>Plan</ButtonLink>
            {session.state !== 'finished' && (
              <ButtonLink href={`/sessions/${session.id}/run`}>Back on court</ButtonLink>
            )}
            <ButtonLink href={`/sessions/${session.id}/counts`}>Correct counts</ButtonLink>
            <ButtonLink href={`/sessions/${session.id}/clip`}>Clip</ButtonLink>
            <Button look="now" onClick={() => void acceptAll()} disabled={open.length === 0}>
              <Check aria-hidden size={18} />{' '}
              {open.length === 0 ? 'All decided' : `Accept ${counted(open.length, 'proposal')}`}
            </Button>
          </>
        }
      >
        {[`${shortDay(session.day)} ${session.startTime}`, session.placeName, session.coach]
          .filter(Boolean)
          .join(' · ')}
        {withCounts.length > 0 && (
          <>
            {' · '}
            <CorrectDay view={view} />
          </>
        )}
      </PageHead>
      {problem && (
        <div className="mb-3">
          <ErrorNote>{problem}</ErrorNote>
        </div>
      )}
      {withCounts.length === 0 ? (
        <Sheet className="p-5">
          <p>Nothing was counted in this session yet. Results stand here as soon as a block has touches.</p>
        </Sheet>
      ) : (
        <div className="grid items-start gap-4 lg:grid-cols-[17rem_1fr] lg:grid-rows-[auto_1fr]">
          <nav aria-label="Blocks">
            <ol>
              {blocks.map((one, index) => (
                <li key={one.id}>
                  <button
                    type="button"
                    aria-current={one.id === chosen ? 'true' : undefined}
                    onClick={() => setChosen(one.id)}
                    className={cx(
                      'flex min-h-14 w-full items-center gap-3 border-2 border-b-0 border-line px-3 text-left last:border-b-2 hover:bg-chalk',
                      one.id === chosen ? 'border-l-8 border-l-now bg-chalk' : 'bg-sheet',
                    )}
                  >
                    <span className="tabular font-head text-xl font-bold">{index + 1}</span>
                    <span className="min-w-0">
                      <span className="block font-semibold">{book.drill(one.drillId)?.title}</span>
                      <span className="block text-sm text-soft">{progress(one)}</span>
                    </span>
                    {one.lines.some((line) => line.bestEver) && (
                      <Trophy
                        role="img"
                        aria-label="with a best ever"
                        size={20}
                        className="ml-auto shrink-0 text-now"
                      />
                    )}
                  </button>
                </li>
              ))}
            </ol>
          </nav>
          {block && (
            <div data-review-block className="min-w-0 lg:col-start-2 lg:row-span-2 lg:row-start-1">
              <BlockReview key={block.id} view={view} book={book} block={block} onDecide={decide} />
            </div>
          )}
          <div className="space-y-4">
            <ReviewNotes view={view} book={book} block={block} />
            <ReviewVows view={view} book={book} />
          </div>
        </div>
      )}
    </>
  );
}

function progress(block: ReviewBlock): string {
  if (block.lines.length === 0) return 'nothing counted';
  const judged = block.lines.filter((line) => !line.whole);
  if (judged.length === 0) return `done by ${block.lines.length}`;
  const done = judged.filter((line) => line.decided).length;
  return done === judged.length ? 'decided' : `${done} of ${judged.length} decided`;
}

interface BlockReviewProps {
  readonly book: Book;
  readonly view: SessionReviewView;
  readonly block: ReviewBlock;
  readonly onDecide: (decisions: DecisionForm[], text: string) => Promise<void>;
}

function BlockReview({ view, book, block, onDecide }: BlockReviewProps) {
  const drill = book.drill(block.drillId);
  const step = book.step(block.drillId, block.stepId);
  if (!drill || !step) return <p>This drill is not in the catalogue (any more).</p>;
  const judged = block.lines.filter((line) => !line.whole);
  const whole = block.lines.flatMap((line) =>
    line.whole ? (view.players.find((one) => one.id === line.playerId)?.name ?? []) : [],
  );
  const put = block.changes.map((id) => findChange(id)?.id).filter(Boolean);
  return (
    <Sheet aria-label={drill.title}>
      <div className="flex items-start justify-between gap-3 border-b-2 border-ink px-4 py-3">
        <div>
          <h2 className="text-xl">{drill.title}</h2>
          <p className="text-soft">
            {step.title} · {doseInWords(block.dose)}
            {put.length > 0 && ` · with ${put.join(', ')}`}
            {isEased(block.changes) && ' (made easier: it stands for no mark)'}
          </p>
        </div>
        {block.lines.length > 0 && <CorrectBlock view={view} book={book} block={block} />}
      </div>
      <ul>
        {judged.map((line) => {
          const player = view.players.find((one) => one.id === line.playerId);
          return player ? (
            <ReviewLineRow
              key={line.playerId}
              block={block}
              drill={workOf(book, block, line.playerId)!.drill}
              line={line}
              player={player}
              onDecide={onDecide}
            />
          ) : null;
        })}
      </ul>
      {whole.length > 0 && (
        <p className="px-4 py-3" data-done>
          Done together, by the clock: {whole.join(', ')}.
        </p>
      )}
      {block.lines.length === 0 && <p className="p-4 text-soft">Nothing was counted in this block.</p>}
      <p className="border-t border-line px-4 py-2 text-sm text-soft">
        Ask: {drill.recap.questions.join(' ')} Home: {drill.recap.homeChallenge}{' '}
        {view.players[0] && (
          <Link
            href={`/players/${view.players[0].id}?drill=${drill.id}`}
            className="font-semibold text-ink underline underline-offset-4"
          >
            See it over time
          </Link>
        )}
      </p>
    </Sheet>
  );
}
