import type { ReactNode } from 'react';
import { counted, inThousands } from '@/core/words';
import { resultInWords } from '@/core/counting/measure';
import type { Book } from '@/drills';
import { playerFieldNames, playerFields, type PlayerFieldName } from '@/schemas/player-fields';
import { PrintButton } from '@/features/paper/print-button';
import { attendanceWords } from '@/features/sessions/attendance-words';
import type { Everything as All } from '@/server/views/everything';
import { buttonClass } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { dayAt, shortDay } from '@/ui/dates';
import { PageHead, Sheet } from '@/ui/page-head';
import { Said } from '@/ui/units';

const verdicts: Readonly<Record<string, string>> = { up: 'a step up', hold: 'stay', back: 'a step back' };

/** Everything the book holds about one child, to be read and printed by their family. */
export function Everything({ view, book }: { readonly view: All; readonly book: Book }) {
  const { player, focuses, fit, schools, places, sessions, attempts, decisions, notes, events } = view;
  const { ledgers, counting, challenges, results, courses } = view;
  const titleOf = (drillId: string) => book.drill(drillId, player.id)?.title ?? drillId;
  const stepOf = (drillId: string, stepId: string) => book.step(drillId, stepId, player.id);
  return (
    <>
      <PageHead
        title={`Everything about ${player.name}`}
        actions={
          <>
            <ButtonLink href={`/players/${player.id}`}>Back</ButtonLink>
            <a className={buttonClass()} href={`/players/${player.id}/everything.json`} download>
              As a file
            </a>
            <PrintButton />
          </>
        }
      >
        All this book holds about one child. Nothing here is about anybody else.
      </PageHead>
      <div className="space-y-3">
        <Part title="Who they are">
          {playerFieldNames
            .filter((name) => playerFields[name].onFamilyPage === true)
            .map((name) => (
              <Row key={name} name={playerFields[name].label}>
                <Fact player={player} name={name} />
              </Row>
            ))}
        </Part>
        <Part title="Working on">
          {focuses.map(({ id, text, sinceMs, untilMs }) => (
            <Row key={id} name={`${dayAt(sinceMs)} to ${untilMs === null ? 'now' : dayAt(untilMs)}`}>
              {text}
              {ledgers
                .filter(({ focusId }) => focusId === id)
                .map(({ goal }) => ` (${inThousands(goal)} good repetitions wanted)`)}
            </Row>
          ))}
        </Part>
        <Part title="Own numbers and choices">
          {fit.map(({ key, value }) => (
            <Row key={key} name={key}>
              {value}
            </Row>
          ))}
          {schools.map(({ question, answer }) => (
            <Row key={question} name={question}>
              {answer}
            </Row>
          ))}
        </Part>
        <Part title="Steps they stand on">
          {places.map(({ drillId, stepId, why }) => (
            <Row key={drillId} name={titleOf(drillId)}>
              {stepOf(drillId, stepId)?.title ?? stepId}. <span className="text-soft">{why}</span>
            </Row>
          ))}
        </Part>
        <Part title="Sessions">
          {sessions.map(({ id, day, title, placeName, attendance }) => (
            <Row key={id} name={shortDay(day)}>
              {[title, placeName, attendance && attendanceWords[attendance]].filter(Boolean).join(' · ')}
            </Row>
          ))}
        </Part>
        <Part title="Decisions">
          {decisions.map(({ blockId, drillId, verdict, reason, decidedAtMs }) => (
            <Row key={blockId} name={`${dayAt(decidedAtMs)}, ${titleOf(drillId)}`}>
              {verdicts[verdict]}. {reason}
            </Row>
          ))}
        </Part>
        <Part title="Challenges">
          {challenges.map(({ id, title }) => (
            <Row key={id} name={title}>
              {results
                .filter(({ challengeId, removedAtMs }) => challengeId === id && removedAtMs === null)
                .map(({ result, day }) => `${result} on ${shortDay(day)}`)
                .join(', ') || 'took part'}
            </Row>
          ))}
        </Part>
        <Part title="Courses">
          {courses.map(({ title, drillId, day, stepId }) => (
            <Row key={`${title} ${day}`} name={`${title}, ${shortDay(day)}`}>
              {titleOf(drillId)}: planned on step {stepId}
            </Row>
          ))}
        </Part>
        <Part title="The coach’s words on counting">
          {counting.map(({ id, word, atMs, removedAtMs }) => (
            <Row key={id} name={dayAt(atMs)}>
              {word === 'right' ? 'counted right' : 'what was counted until then weighs half'}
              {removedAtMs !== null && ' (taken back)'}
            </Row>
          ))}
        </Part>
        <Part title="Notes">
          {notes.map(({ id, text, atMs }) => (
            <Row key={id} name={dayAt(atMs)}>
              {text}
            </Row>
          ))}
        </Part>
        <Part
          title={`Results: ${counted(attempts.length, 'attempt')}, ${counted(events.length, 'line')} of the log`}
        >
          {attempts.map(({ blockId, number, day, drillId, stepId, result, touches }) => {
            const step = stepOf(drillId, stepId);
            return (
              <Row key={`${blockId} ${number}`} name={`${shortDay(day)}, ${titleOf(drillId)}`}>
                {step && result !== null ? resultInWords(step.measure, result) : 'done'}
                {touches > 0 && `, ${counted(touches, 'touch', 'touches')}`}
              </Row>
            );
          })}
        </Part>
      </div>
    </>
  );
}

function Fact({ player, name }: { readonly player: All['player']; readonly name: PlayerFieldName }) {
  const value = name === 'focus' ? null : player[name];
  if (value === null || value === '') return 'not noted';
  const { unit } = playerFields[name];
  return unit === null ? value : <Said>{`${value} ${unit}`}</Said>;
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const empty = Array.isArray(children) && children.flat().length === 0;
  return (
    <Sheet className="p-3 print:break-inside-auto" aria-label={title}>
      <h2 className="text-lg">{title}</h2>
      {empty ? <p className="text-soft">Nothing.</p> : <dl className="text-sm">{children}</dl>}
    </Sheet>
  );
}

function Row({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <div className="grid border-t border-line py-0.5 sm:grid-cols-[18rem_1fr]">
      <dt className="text-soft">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
