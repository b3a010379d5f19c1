'use client';

import { UserCheck } from 'lucide-react';
import { useState } from 'react';
import type { Attendance } from '@/core/players/attendance';
import { sayAttendanceAction } from '@/server/actions';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { cx } from '@/ui/class-names';
import { Dialog } from '@/ui/dialog';
import { ErrorNote } from '@/ui/field';
import { usePart } from '@/ui/use-part';
import { attendanceWords } from './attendance-words';

interface Props {
  readonly sessionId: string;
  readonly players: readonly { readonly id: string; readonly name: string }[];
  /** What was said so far. */
  readonly said: Readonly<Record<string, Attendance>>;
}

/** Seldom needed, and not before the list is open. */
const loadOther = () => import('./somebody-else');

const choices = Object.keys(attendanceWords) as Attendance[];

/** Opens the list of who came: one press each, or one for everybody. */
export function WhoIsHere(props: Props) {
  const [open, setOpen] = useState(false);
  const unsaid = props.players.filter(({ id }) => !props.said[id]).length;
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <UserCheck aria-hidden size={18} />{' '}
        {unsaid === props.players.length ? 'Who is here?' : 'Who was here'}
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title="Who is here?"
        intro="Who is absent gets no turn, and nobody waits for them."
        startsAtField={false}
      >
        <AttendanceList {...props} />
        <div className="mt-4 flex justify-end">
          <Button look="now" onClick={() => setOpen(false)}>
            Done
          </Button>
        </div>
      </Dialog>
    </>
  );
}

function AttendanceList({ sessionId, players, said }: Props) {
  const [problem, setProblem] = useState<string | null>(null);
  const [joined, setJoined] = useState('');
  const other = usePart(loadOther);
  // Shown at once; the page that comes back says the same.
  const [now, setNow] = useState<Readonly<Record<string, Attendance | null>>>(said);
  const say = async (playerIds: readonly string[], attendance: Attendance | null) => {
    const before = now;
    setNow({ ...now, ...Object.fromEntries(playerIds.map((id) => [id, attendance])) });
    const outcome = await ask(() => sayAttendanceAction(sessionId, { playerIds, attendance }));
    setProblem(outcome.ok ? null : outcome.problems.map((one) => one.message).join(' '));
    if (!outcome.ok) setNow(before);
  };
  // Who has joined since this list was opened is here.
  const saidOf = (id: string) => (id in now ? now[id] : said[id]);
  const open = players.filter(({ id }) => !saidOf(id)).map(({ id }) => id);
  return (
    <>
      <ul className="space-y-1">
        {players.map(({ id, name }) => (
          <li key={id} className="flex flex-wrap items-center justify-between gap-x-4">
            <span className="font-semibold">{name}</span>
            <span role="group" aria-label={name} className="flex">
              {choices.map((choice) => (
                <button
                  key={choice}
                  type="button"
                  aria-pressed={saidOf(id) === choice}
                  onClick={() => void say([id], saidOf(id) === choice ? null : choice)}
                  className={cx(
                    'min-h-11 border-2 border-l-0 border-edge px-2.5 text-sm font-semibold first:rounded-l-md first:border-l-2 last:rounded-r-md',
                    saidOf(id) === choice ? 'bg-ink text-paper' : 'bg-sheet hover:bg-chalk',
                  )}
                >
                  {attendanceWords[choice]}
                </button>
              ))}
            </span>
          </li>
        ))}
      </ul>
      <Button className="mt-3" disabled={open.length === 0} onClick={() => void say(open, 'here')}>
        {open.length === players.length ? 'Everybody is here' : 'All the others are here'}
      </Button>
      {other && (
        <other.SomebodyElse
          sessionId={sessionId}
          onJoined={(name) => setJoined(`${name} has joined: a part in every block that is still to come.`)}
        />
      )}
      <p role="status" className="mt-2 font-semibold text-safe">
        {joined}
      </p>
      {problem && (
        <div className="mt-3">
          <ErrorNote>{problem}</ErrorNote>
        </div>
      )}
    </>
  );
}
