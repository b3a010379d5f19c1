import type { DrawnTime } from '@/core/plan/plan-time';
import { inHalfMinutes } from '@/core/base/words';
import { deferral } from '@/core/care/care';
import type { Book } from '@/drills';
import { evaluationOf } from '@/features/plan/evaluation-of';
import { decidedIn, placeName } from '@/features/plan/in-view';
import type { SessionPlanView } from '@/server/views/session-plan';
import { paperOf, type PaperBlock } from '@/session/plan/paper';
import { longDay } from '@/ui/dates';

/** Everything that stands on a session's sheet, for the browser's print and for the PDF alike. */
export interface PaperParts {
  readonly title: string;
  /** Day, hour, place, coach, minutes. */
  readonly about: string;
  readonly time: DrawnTime;
  readonly blocks: readonly PaperBlock[];
  readonly names: ReadonlyMap<string, string>;
  /** Care that is of no one block, with who decides; empty where there is none. */
  readonly care: string;
  /** What to ask at the end. */
  readonly questions: readonly string[];
  /** What was written about this session, by the block it is about; the session's own under ''. */
  readonly notes: ReadonlyMap<string, readonly string[]>;
}

/** Questions of so many drills are asked at the end: ours. */
const mostQuestions = 3;

export function paperParts(view: SessionPlanView, book: Book): PaperParts {
  const { session, playerIds } = view;
  const here = playerIds.filter((id) => !view.absent.includes(id));
  const players = here.flatMap((id) => view.squad.find((player) => player.id === id) ?? []);
  const planned = view.blocks.map((block) => ({ ...block, ...view.heldAs[block.id] }));
  const evaluation = evaluationOf(view, book, { ...session, blocks: planned, playerIds });
  const { time, warnings } = evaluation;
  const blocks = paperOf(book, planned, players, evaluation, (...on) => decidedIn(view, ...on));
  const general = warnings.filter((one) => one.blockId === null).map((one) => one.text);
  const asked = blocks.filter((block) => !block.together).slice(-mostQuestions);
  const notes = new Map<string, string[]>();
  for (const { blockId, text } of view.notes) {
    const key = blocks.some(({ id }) => id === blockId) ? blockId! : '';
    notes.set(key, [...(notes.get(key) ?? []), text]);
  }
  return {
    title: session.title,
    about: [
      `${longDay(session.day)}, ${session.startTime}`,
      placeName(view, session),
      session.coach,
      `${inHalfMinutes(time.totalS)} of ${session.bookedMin} min`,
    ]
      .filter(Boolean)
      .join(' · '),
    time,
    blocks,
    names: new Map(players.map((player) => [player.id, player.name])),
    care: general.length > 0 ? [...general, deferral].join(' ') : '',
    questions: [...new Set(asked.map((block) => block.drill.recap.questions[0]!))],
    notes,
  };
}
