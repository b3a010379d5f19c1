import { conditionsNow } from '@/core/counting/conditions';
import { ruleOf } from '@/core/counting/event';
import { liveEvents } from '@/core/counting/live';
import { undoKept } from '@/court/kept-together';
import type { NewEvent, RunLog } from '@/court/run-log';
import type { CardPart } from '@/session/vows/card';
import { doseOn } from '@/session/vows/done-share';
import type { PartEars } from '@/session/vows/ears';
import type { HomeDay, HomeDayPart, HomeView, HomeVow } from '@/session/vows/home-view';
import { buttonClass } from '@/ui/button-class';
import { cx } from '@/ui/class-names';
import { chosenLook } from './chosen-look';
import { CountPart } from './count-part';
import type { LoadEar } from './ear-later';
import { Felt } from './felt';
import { saidOn, usePartTally, type HomeLog } from './use-home';

/** One vow on one day: its parts, and how it felt. */
export function VowToday({
  vow,
  asked,
  view,
  home,
  loadEar,
  closedRounds,
}: {
  vow: HomeVow;
  asked: HomeDay;
  view: HomeView;
  home: HomeLog;
  loadEar: LoadEar | null;
  closedRounds: (blockId: string) => number;
}) {
  const first = asked.parts[0]!;
  const { log } = home;
  const { felt, text } = saidOn(log, first.blockId, view.playerId);
  return (
    <section className="space-y-4 rounded-md border-2 border-edge bg-sheet p-4" aria-label={vow.card.title}>
      {asked.parts.map((one) => (
        <PartToday
          key={one.blockId}
          part={vow.card.parts[one.part]!}
          hears={vow.ears[one.part] ?? {}}
          one={one}
          view={view}
          home={home}
          loadEar={loadEar}
          round={closedRounds(one.blockId) + 1}
        />
      ))}
      <Felt
        felt={felt}
        text={text}
        onSay={(value, line) =>
          void log.log({ blockId: first.blockId, playerId: view.playerId, kind: 'note', value, text: line })
        }
      />
    </section>
  );
}

function PartToday({
  part,
  hears,
  loadEar,
  one,
  view,
  home,
  round,
}: {
  part: CardPart;
  hears: PartEars;
  loadEar: LoadEar | null;
  one: HomeDayPart;
  view: HomeView;
  home: HomeLog;
  round: number;
}) {
  const { log } = home;
  const { blockId } = one;
  const { playerId } = view;
  const count = usePartTally(home, blockId, playerId, part.measure);
  const stepId = conditionsNow(log.eventsOf(blockId, playerId)).stepId ?? one.stepId;
  const step = part.choices.find((choice) => choice.stepId === stepId) ?? part;
  const dose = doseOn(one, part.choices, stepId);
  const heard = hears[stepId];
  const last = liveEvents(log.events(blockId, playerId)).findLast(
    ({ kind, id, attempt }) => ruleOf(kind).count !== null && log.isMine(id) && attempt >= round,
  );
  return (
    <div className="space-y-3">
      <h2 className="text-2xl">{part.drill}</h2>
      <p className="text-xl font-semibold">{step.title}</p>
      <p>{stepId === one.stepId ? one.words : step.words}</p>
      <p className="border-l-4 border-now pl-3 text-xl">“{part.cue}”</p>
      {part.choices.length > 1 && (
        <fieldset className="flex flex-wrap gap-2">
          <legend className="pb-1 text-base">You choose</legend>
          {part.choices.map((choice) => (
            <button
              key={choice.stepId}
              type="button"
              aria-pressed={choice.stepId === stepId}
              onClick={() =>
                choice.stepId !== stepId &&
                void log.log({ blockId, playerId, kind: 'step', text: choice.stepId, value: 1 })
              }
              className={buttonClass('plain', cx('min-h-14', choice.stepId === stepId && chosenLook))}
            >
              {choice.title}
            </button>
          ))}
        </fieldset>
      )}
      <CountPart
        part={part}
        dose={dose}
        count={count}
        round={round}
        name={view.name}
        own={{ blockId, playerId }}
        ear={loadEar && heard ? { step: heard, load: loadEar } : null}
        onMark={(mark) => void log.log({ blockId, playerId, ...mark })}
        onMarks={(marks) => void logAll(log, marks)}
        onUndo={last ? () => undoKept(log, last) : null}
      />
      <details className="text-base">
        <summary className="cursor-pointer py-2 font-semibold">What to look for, and help</summary>
        <ul className="list-disc space-y-1 pl-5">
          {part.task && <li>{part.task}</li>}
          {part.checkpoints.map((line) => (
            <li key={line}>{line}</li>
          ))}
          {part.care.map((line) => (
            <li key={line}>{line}</li>
          ))}
          {part.helper.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </details>
    </div>
  );
}

/** One after the other, as they were heard. */
async function logAll(log: RunLog, marks: readonly NewEvent[]): Promise<void> {
  for (const mark of marks) await log.log(mark);
}
