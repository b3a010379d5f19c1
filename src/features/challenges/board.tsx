'use client';

import { Award, Trash2, Undo2 } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { resultInWords } from '@/core/counting/measure';
import type { BoardLine, PairLine } from '@/core/challenges/challenge';
import { counted, percent, inThousands } from '@/core/base/words';
import { PrintButton } from '@/features/plan/paper/print-button';
import {
  addChallengeResultAction,
  removeChallengeAction,
  removeChallengeResultAction,
} from '@/server/actions/judgement';
import type { BoardView } from '@/server/views/challenges';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { cx } from '@/ui/class-names';
import { shortDay } from '@/ui/dates';
import { Field } from '@/ui/field';
import { PageHead, Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { Said } from '@/ui/units';
import { Clubs } from './clubs';
import { agesInWords, cardWords, daysLeftWords, kindWords } from './words';

/** The board of a challenge: progress for everybody, sums that are exact, attempts left. */
export function BoardPage({ view }: { readonly view: BoardView }) {
  const { challenge, board, names, typed } = view;
  const notice = useNotice();
  const over = challenge.daysLeft === 0;
  const remove = async (removed: boolean) => {
    const outcome = await ask(() => removeChallengeAction(challenge.id, removed));
    notice(
      outcome.ok
        ? {
            text: removed ? `${challenge.title} was taken off the list.` : `${challenge.title} is back.`,
            ...(removed && { undo: () => void remove(false) }),
          }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  return (
    <>
      <PageHead
        title={challenge.title}
        actions={
          <>
            <ButtonLink look="quiet" href="/squad/challenges">
              All challenges
            </ButtonLink>
            <Button look="quiet" onClick={() => void remove(!challenge.removed)}>
              {challenge.removed ? <Undo2 aria-hidden size={18} /> : <Trash2 aria-hidden size={18} />}{' '}
              {challenge.removed ? 'Bring back' : 'Remove'}
            </Button>
            <PrintButton />
          </>
        }
      >
        {kindWords[challenge.kind][0]} · {daysLeftWords(challenge)}
      </PageHead>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_20rem]">
        <Sheet aria-label="Board" className="p-4">
          {challenge.kind === 'together' && <Together view={view} />}
          <ul>
            {challenge.kind === 'pairs'
              ? view.pairs.map((pair) => <Pair key={pair.players.join(' ')} pair={pair} view={view} />)
              : board.lines.map((line, at) => <Line key={line.playerId} line={line} at={at} view={view} />)}
          </ul>
          {challenge.kind === 'pairs' && view.pairs.length === 0 && (
            <p className="text-soft">
              Pairs stand here with their longest rally: type it in, with both players.
            </p>
          )}
          {challenge.kind !== 'pairs' && board.movedMost && names[board.movedMost] && (
            <p className="mt-3 rounded-md bg-chalk px-3 py-2 font-semibold">
              {over ? 'Moved most' : 'Moved most so far'}: {names[board.movedMost]}.
            </p>
          )}
        </Sheet>
        <div className="space-y-4">
          <Sheet aria-label="Card" className="p-4">
            <h2 className="text-lg">Card</h2>
            {cardWords(challenge).map((line) => (
              <p key={line} className="text-sm">
                {line}
              </p>
            ))}
            <dl className="mt-2 text-sm" data-age-rules>
              {view.ageRules.map((rule) => (
                <div
                  key={`${rule.fromAge} ${rule.words}`}
                  className="flex justify-between gap-3 border-t border-line py-1"
                >
                  <dt className="font-semibold whitespace-nowrap">{agesInWords(rule)}</dt>
                  <dd className="text-right">
                    <Said>{rule.words}</Said>
                  </dd>
                </div>
              ))}
            </dl>
          </Sheet>
          <Clubs view={view} />
          <Sheet aria-label="Type a result in" className="p-4 print:hidden">
            <h2 className="text-lg">Type a result in</h2>
            <p className="mb-2 text-sm text-soft">
              What is counted on court or at home on these days comes by itself.
            </p>
            <TypeIn view={view} />
            <ul className="mt-2 text-sm">
              {typed.map((one) => (
                <TypedRow key={one.id} one={one} view={view} />
              ))}
            </ul>
          </Sheet>
        </div>
      </div>
    </>
  );
}

function Together({ view: { board, challenge } }: { readonly view: BoardView }) {
  const goal = challenge.goal ?? 1;
  const share = Math.min(1, board.together / goal);
  return (
    <div className="mb-4">
      <p className="text-3xl font-bold tabular" data-together>
        {inThousands(board.together)}
        <span className="text-lg font-normal text-soft"> of {inThousands(goal)} touches</span>
      </p>
      <div
        role="meter"
        aria-label="Touches together"
        aria-valuemin={0}
        aria-valuemax={goal}
        aria-valuenow={Math.min(goal, board.together)}
        className="mt-1 h-8 border-2 border-ink bg-sheet"
      >
        <div className="h-full bg-safe" style={{ width: `${100 * share}%` }} />
      </div>
      <p className="text-sm text-soft">
        {board.together >= goal ? 'Done, together.' : `${inThousands(goal - board.together)} to go.`}
      </p>
    </div>
  );
}

function Line({
  line,
  at,
  view,
}: {
  readonly line: BoardLine;
  readonly at: number;
  readonly view: BoardView;
}) {
  const { challenge, names } = view;
  return (
    <li className="border-b border-line py-2 last:border-0" data-line={names[line.playerId]}>
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <span className="font-semibold">
          {challenge.ranked && <span className="tabular">{at + 1}. </span>}
          {names[line.playerId]}
          {line.won && (
            <span className="ml-2 rounded-sm bg-safe px-1.5 text-sm text-on-safe">
              {challenge.kind === 'level' ? 'above' : 'new best'}
            </span>
          )}
        </span>
        <span className="text-sm text-soft">
          {line.left === null ? counted(line.used, 'attempt') : `${counted(line.left, 'attempt')} left`}
          {line.won && (
            <Link
              href={`/challenges/${challenge.id}/certificate/${line.playerId}`}
              className="hit ml-3 inline-flex items-center gap-1 font-semibold text-ink underline underline-offset-4 print:hidden"
            >
              <Award aria-hidden size={16} /> Certificate
            </Link>
          )}
        </span>
      </p>
      <p className="text-sm">
        {line.words}
        {challenge.kind === 'level' && line.won && ` Better than ${percent(line.progress)} of own days.`}
      </p>
      <div className="mt-1 flex items-center gap-2" aria-hidden>
        <div className="relative h-3 flex-1 border border-edge bg-sheet">
          <div
            className={cx('h-full', line.won ? 'bg-safe' : 'bg-now')}
            style={{ width: `${Math.round(100 * line.progress)}%` }}
          />
          {challenge.kind === 'level' && <div className="absolute inset-y-[-3px] left-1/2 w-0.5 bg-ink" />}
        </div>
      </div>
    </li>
  );
}

/** A pair and its longest rally, in turn. */
function Pair({ pair, view: { names, challenge } }: { readonly pair: PairLine; readonly view: BoardView }) {
  const [one, other] = pair.players;
  return (
    <li className="border-b border-line py-2 last:border-0" data-pair>
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <span className="font-semibold">
          {names[one]} and {names[other]}
        </span>
        <span className="text-sm text-soft">
          {pair.left === null ? counted(pair.used, 'attempt') : `${counted(pair.left, 'attempt')} left`}
        </span>
      </p>
      <p className="text-sm">
        {pair.result} in turn{challenge.goal !== null && `, of ${inThousands(challenge.goal)}`}
      </p>
      <div className="mt-1 h-3 border border-edge bg-sheet" aria-hidden>
        <div
          className={cx('h-full', pair.progress >= 1 ? 'bg-safe' : 'bg-now')}
          style={{ width: `${Math.round(100 * pair.progress)}%` }}
        />
      </div>
    </li>
  );
}

function TypeIn({ view: { challenge, board, names } }: { readonly view: BoardView }) {
  const notice = useNotice();
  const people = board.lines.map(({ playerId }) => playerId);
  const [playerId, setPlayerId] = useState(people[0] ?? '');
  const [partnerId, setPartnerId] = useState(people[1] ?? '');
  const pairs = challenge.kind === 'pairs';
  const [result, setResult] = useState('');
  const [problem, setProblem] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);
  const save = async () => {
    setBusy(true);
    const outcome = await ask(() =>
      addChallengeResultAction(challenge.id, {
        playerId,
        partnerId: pairs ? partnerId : null,
        result: result.trim() === '' ? undefined : Number(result),
      }),
    );
    setBusy(false);
    setProblem(outcome.ok ? undefined : problemsText(outcome));
    if (!outcome.ok) return;
    const { id } = outcome.value;
    setResult('');
    notice({
      text: `${names[playerId]}: ${resultInWords(challenge.measure, Number(result))}.`,
      undo: () => void removeChallengeResultAction(id, true),
    });
  };
  return (
    <form
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Person label="Player" value={playerId} onChange={setPlayerId} people={people} names={names} />
      {pairs && (
        <Person label="With" value={partnerId} onChange={setPartnerId} people={people} names={names} />
      )}
      <Field label="Result" error={problem}>
        <input
          value={result}
          inputMode="decimal"
          autoComplete="off"
          onChange={(event) => setResult(event.target.value)}
        />
      </Field>
      <Button type="submit" disabled={busy}>
        Put it on the board
      </Button>
    </form>
  );
}

function Person({
  label,
  value,
  people,
  names,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly people: readonly string[];
  readonly names: BoardView['names'];
  readonly onChange: (id: string) => void;
}) {
  return (
    <Field label={label}>
      <select value={value} onChange={(event) => onChange(event.target.value)}>
        {people.map((id) => (
          <option key={id} value={id}>
            {names[id]}
          </option>
        ))}
      </select>
    </Field>
  );
}

function TypedRow({
  one,
  view: { challenge, names },
}: {
  readonly one: BoardView['typed'][number];
  readonly view: BoardView;
}) {
  const notice = useNotice();
  const set = async (removed: boolean) => {
    const outcome = await ask(() => removeChallengeResultAction(one.id, removed));
    notice(
      outcome.ok
        ? {
            text: removed ? 'The result was taken back.' : 'The result is on the board again.',
            ...(removed && { undo: () => void set(false) }),
          }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  return (
    <li className="flex items-center justify-between border-t border-line">
      <span>
        {names[one.playerId]}
        {one.partnerId && ` and ${names[one.partnerId]}`}: {resultInWords(challenge.measure, one.result)},{' '}
        {shortDay(one.day)}
      </span>
      <Button look="quiet" className="px-2 text-sm" onClick={() => void set(true)}>
        Take back
      </Button>
    </li>
  );
}
