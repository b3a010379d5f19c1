import type { ReactNode } from 'react';
import { groupBy } from '@/core/base/group-by';
import { resultInWords } from '@/core/counting/measure';
import { counted, inThousands } from '@/core/base/words';
import type { Dose } from '@/core/dose/dose';
import type { Book } from '@/drills';
import { attendanceWords } from '@/features/plan/sessions/attendance-words';
import { playerFieldNames, playerFields, type PlayerFieldName } from '@/schemas/player-fields';
import type { Everything as All } from '@/server/views/everything';
import { plainDose } from '@/session/vows/card';
import { kitInWords, roomInWords, type Home } from '@/session/vows/home';
import { dayAt, shortDay } from '@/ui/dates';
import { Said } from '@/ui/units';

/** One line of the page: what it is about, and what is kept. */
export interface Line {
  readonly key: string;
  readonly name: string;
  readonly says: ReactNode;
}

interface Part {
  readonly title: string | ((all: All) => string);
  readonly lines: (all: All, words: Words) => readonly Line[];
}

/** Titles of drills and steps as this child's coaches see them. */
export interface Words {
  readonly titleOf: (drillId: string) => string;
  readonly stepOf: (drillId: string, stepId: string) => ReturnType<Book['step']>;
}

export const wordsOf = (book: Book, playerId: string): Words => ({
  titleOf: (drillId) => book.drill(drillId, playerId)?.title ?? drillId,
  stepOf: (drillId, stepId) => book.step(drillId, stepId, playerId),
});

const verdicts: Readonly<Record<string, string>> = { up: 'a step up', hold: 'stay', back: 'a step back' };

function Fact({ player, name }: { readonly player: All['player']; readonly name: PlayerFieldName }) {
  const value = name === 'focus' ? null : player[name];
  if (value === null || value === '') return 'not noted';
  const { unit } = playerFields[name];
  return unit === null ? value : <Said>{`${value} ${unit}`}</Said>;
}

/**
 * Everything that is kept about a child, list by list, in the order it is shown; `with` names the part that shows a list
 * together with its own. A list that is new does not compile before it has a place here.
 */
export const parts: Readonly<Record<keyof All, Part | { readonly with: keyof All }>> = {
  player: {
    title: 'Who they are',
    lines: ({ player }) =>
      playerFieldNames
        .filter((name) => playerFields[name].onFamilyPage === true)
        .map((name) => ({
          key: name,
          name: playerFields[name].label,
          says: <Fact player={player} name={name} />,
        })),
  },
  focuses: {
    title: 'Working on',
    lines: ({ focuses, ledgers }) =>
      focuses.map(({ id, text, sinceMs, untilMs }) => ({
        key: id,
        name: `${dayAt(sinceMs)} to ${untilMs === null ? 'now' : dayAt(untilMs)}`,
        says: [
          text,
          ...ledgers
            .filter(({ focusId }) => focusId === id)
            .map(({ goal }) => ` (${inThousands(goal)} good repetitions wanted)`),
        ],
      })),
  },
  ledgers: { with: 'focuses' },
  fit: {
    title: 'Own numbers and choices',
    lines: ({ fit, schools }) => [
      ...fit.map(({ key, value }) => ({ key, name: key, says: value })),
      ...schools.map(({ question, answer }) => ({ key: question, name: question, says: answer })),
    ],
  },
  schools: { with: 'fit' },
  places: {
    title: 'Steps they stand on',
    lines: ({ places }, { titleOf, stepOf }) =>
      places.map(({ drillId, stepId, why }) => ({
        key: drillId,
        name: titleOf(drillId),
        says: (
          <>
            {stepOf(drillId, stepId)?.title ?? stepId}. <span className="text-soft">{why}</span>
          </>
        ),
      })),
  },
  sessions: {
    title: 'Sessions',
    lines: ({ sessions }) =>
      sessions.map(({ id, day, title, placeName, attendance }) => ({
        key: id,
        name: shortDay(day),
        says: [title, placeName, attendance && attendanceWords[attendance]].filter(Boolean).join(' · '),
      })),
  },
  decisions: {
    title: 'Decisions',
    lines: ({ decisions }, { titleOf }) =>
      decisions.map(({ blockId, drillId, verdict, reason, decidedAtMs }) => ({
        key: blockId,
        name: `${dayAt(decidedAtMs)}, ${titleOf(drillId)}`,
        says: `${verdicts[verdict]}. ${reason}`,
      })),
  },
  vows: {
    title: 'Vows (home practice)',
    lines: ({ vows, vowDays }, { titleOf }) =>
      vows.map(({ id, fromDay, untilDay, endedWhy, thanks }) => {
        const days = vowDays.filter(({ vowId }) => vowId === id);
        const drills = [...new Set(days.map(({ drillId }) => titleOf(drillId)))].join(', ');
        return {
          key: id,
          name: `${shortDay(fromDay)} to ${shortDay(untilDay)}`,
          says: [drills || 'nothing yet', endedWhy && `ended: ${endedWhy}`, thanks]
            .filter(Boolean)
            .join(' · '),
        };
      }),
  },
  vowDays: {
    title: 'What was agreed for each day',
    lines: ({ vowDays }, { titleOf, stepOf }) => {
      // Days on which the same is to be done are one line.
      const alike = groupBy(vowDays, ({ vowId, drillId, stepId, dose }) =>
        [vowId, drillId, stepId, dose].join(' '),
      );
      return [...alike].map(([key, days]) => {
        const { drillId, stepId, dose, day } = days[0]!;
        const last = days.at(-1)!.day;
        const step = stepOf(drillId, stepId);
        return {
          key,
          name: `${last === day ? shortDay(day) : `${shortDay(day)} to ${shortDay(last)}`}, ${titleOf(drillId)}`,
          says: [
            step ? `${step.title}: ${plainDose(step, JSON.parse(dose) as Dose)}` : stepId,
            ` (${counted(days.length, 'day')})`,
          ],
        };
      });
    },
  },
  homes: {
    title: 'At home',
    lines: ({ homes }) =>
      homes.flatMap(({ playerId, surface, kit, ...home }) => [
        {
          key: `${playerId} room`,
          name: 'Room',
          says: <Said>{`${roomInWords(home)}, on ${surface}`}</Said>,
        },
        {
          key: `${playerId} kit`,
          name: 'Kit',
          says: kitInWords({ kit: JSON.parse(kit) as Home['kit'] }) || 'nothing',
        },
      ]),
  },
  challenges: {
    title: 'Challenges',
    lines: ({ challenges, results }) =>
      challenges.map(({ id, title }) => ({
        key: id,
        name: title,
        says:
          results
            .filter(({ challengeId, removedAtMs }) => challengeId === id && removedAtMs === null)
            .map(({ result, day }) => `${result} on ${shortDay(day)}`)
            .join(', ') || 'took part',
      })),
  },
  results: { with: 'challenges' },
  courses: {
    title: 'Courses',
    lines: ({ courses }, { titleOf }) =>
      courses.map(({ title, drillId, day, stepId }) => ({
        key: `${title} ${day}`,
        name: `${title}, ${shortDay(day)}`,
        says: `${titleOf(drillId)}: planned on step ${stepId}`,
      })),
  },
  counting: {
    title: 'The coach’s words on counting',
    lines: ({ counting }) =>
      counting.map(({ id, word, atMs, removedAtMs }) => ({
        key: id,
        name: dayAt(atMs),
        says: [
          word === 'right' ? 'counted right' : 'what was counted until then weighs half',
          removedAtMs !== null && ' (taken back)',
        ],
      })),
  },
  notes: {
    title: 'Notes',
    lines: ({ notes }) => notes.map(({ id, text, atMs }) => ({ key: id, name: dayAt(atMs), says: text })),
  },
  attempts: {
    title: ({ attempts, events }) =>
      `Results: ${counted(attempts.length, 'attempt')}, ${counted(events.length, 'line')} of the log`,
    lines: ({ attempts }, { titleOf, stepOf }) =>
      attempts.map(({ blockId, number, day, drillId, stepId, result, touches }) => {
        const step = stepOf(drillId, stepId);
        return {
          key: `${blockId} ${number}`,
          name: `${shortDay(day)}, ${titleOf(drillId)}`,
          says: [
            step && result !== null ? resultInWords(step.measure, result) : 'done',
            touches > 0 && `, ${counted(touches, 'touch', 'touches')}`,
          ],
        };
      }),
  },
  // Line by line they are in the file.
  events: { with: 'attempts' },
};
