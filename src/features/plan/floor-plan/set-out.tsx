'use client';

import { useMemo, useState } from 'react';
import type { SessionSetOutView } from '@/server/views/session-set-out';
import type { PlacedBlock, PlacedSlot, SetOut } from '@/session/plan/set-out';
import { ButtonLink } from '@/ui/button-link';
import { cx } from '@/ui/class-names';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { Field } from '@/ui/field';
import { PageHead, Sheet } from '@/ui/page-head';
import { unpack, type Packed } from '@/ui/packed';
import { PrintButton } from '@/features/plan/paper/print-button';
import { Said, useUnits } from '@/ui/units';
import { laneStates, type LaneMove } from '@/session/plan/moved-lanes';
import { FloorPlan } from './floor-plan';
import { LaneNotes } from './lane-notes';
import { TapeList } from './tape-list';
import { Together } from './together';
import { useMoves, type Moves } from './use-moves';
import { usePaces } from './use-paces';

/** A session set out on the floor of its place, block by block: drawn to scale, and every mark by two tapes. */
export function SetOutPage({
  packed,
  blockId,
}: {
  readonly packed: Packed<SessionSetOutView>;
  /** The block that is looked at first; the first one where it is null, or not there. */
  readonly blockId: string | null;
}) {
  const { session, setOut, moves, empty } = useMemo(() => unpack(packed), [packed]);
  return (
    <>
      <PageHead
        title={`Set-out: ${session.title}`}
        actions={
          <>
            <ButtonLink href={`/sessions/${session.id}/plan`}>Plan</ButtonLink>
            <PrintButton />
          </>
        }
      >
        {setOut
          ? `${setOut.place.name} from above, to scale, the wall at the top. Every mark by two tapes.`
          : 'Where everything goes on the floor.'}
      </PageHead>
      {empty ? (
        <Sheet className="p-5 text-soft">The plan is empty: open it and add the first block.</Sheet>
      ) : setOut ? (
        <Slots sessionId={session.id} laid={setOut} kept={moves} blockId={blockId} />
      ) : (
        <Sheet className="p-5">
          Nobody said where this is held. Choose the place in the plan, and the floor is drawn here.
        </Sheet>
      )}
    </>
  );
}

/** The nearest that works; turned and with fewer lanes it was tried already. */
const mendOf = ({ fitsIn, smaller }: PlacedBlock): string =>
  [
    smaller && `Made to ${smaller.percent} % of its size it fits.`,
    smaller &&
      smaller.marks.length > 0 &&
      `Its mark there: ${smaller.marks.map(({ band, was, now }) => `${now} for ${was} at ${band}`).join(', ')}.`,
    fitsIn.length > 0 && `At its own size it fits in ${fitsIn.join(' and in ')}: choose it in the plan.`,
    !smaller && fitsIn.length === 0 && 'Neither smaller nor in another of your places: choose another drill.',
  ]
    .filter(Boolean)
    .join(' ');
const wallMarkOf = ({ lanes }: PlacedBlock): number | null => lanes[0]?.layout.wallMarkM ?? null;
const titleOf = ({ blocks }: PlacedSlot): string => blocks.map(({ title }) => title).join(' beside ');

function Slots({
  sessionId,
  laid,
  kept,
  blockId,
}: {
  readonly sessionId: string;
  readonly laid: SetOut;
  readonly kept: readonly LaneMove[];
  readonly blockId: string | null;
}) {
  const moves = useMoves(sessionId, laid, kept);
  const { place, slots } = moves.setOut;
  const [shown, setShown] = useState(() =>
    Math.max(
      0,
      slots.findIndex(({ blocks }) => blocks.some((block) => block.blockId === blockId)),
    ),
  );
  const { text, change, problem, paces } = usePaces();
  // Those that are measured from the same corner.
  const alike = slots.filter(({ floor }) => floor.alongM === slots[0]?.floor.alongM);
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[15rem_1fr] lg:grid-rows-[auto_1fr] print:block">
      <nav aria-label="Blocks" className="flex gap-1 overflow-x-auto lg:flex-col print:hidden">
        {slots.map((slot, n) => (
          <button
            key={slot.number}
            type="button"
            aria-pressed={n === shown}
            onClick={() => setShown(n)}
            className={cx(
              'flex min-h-11 shrink-0 items-center gap-2 rounded-md border-2 px-3 py-1 text-left',
              n === shown
                ? 'border-ink bg-now font-semibold text-on-now'
                : 'border-line bg-sheet hover:border-ink',
            )}
          >
            <span className="tabular w-6 shrink-0">{slot.number}</span>
            <span className="min-w-0 flex-1">{titleOf(slot)}</span>
          </button>
        ))}
        {alike.length > 1 && (
          <button
            type="button"
            aria-pressed={shown === slots.length}
            onClick={() => setShown(slots.length)}
            className={cx(
              'flex min-h-11 shrink-0 items-center rounded-md border-2 px-3 py-1 text-left',
              shown === slots.length
                ? 'border-ink bg-now font-semibold text-on-now'
                : 'border-line bg-sheet hover:border-ink',
            )}
          >
            All together
          </button>
        )}
      </nav>
      <div className="min-w-0 lg:col-start-2 lg:row-span-2 lg:row-start-1">
        {shown === slots.length && (
          <section aria-label="All blocks together" className="print:hidden">
            <Together place={place} slots={alike} paces={paces} />
          </section>
        )}
        {slots.map((slot, n) => (
          <section
            key={slot.number}
            aria-label={titleOf(slot)}
            data-slot={slot.number}
            className={cx(n !== shown && 'hidden', 'space-y-3 break-inside-avoid print:mb-4 print:block')}
          >
            <SlotSheet place={place} slot={slot} paces={paces} moves={moves} />
          </section>
        ))}
      </div>
      <Field
        label="Your paces over ten metres"
        hint="Walk ten metres once and count: the lists then say paces too."
        error={problem}
        className="print:hidden lg:col-start-1"
      >
        <input
          inputMode="decimal"
          value={text}
          onChange={(event) => change(event.target.value)}
          autoComplete="off"
        />
      </Field>
    </div>
  );
}

function SlotSheet({
  place,
  slot,
  paces,
  moves,
}: {
  readonly place: SetOut['place'];
  readonly slot: PlacedSlot;
  readonly paces: number | null;
  readonly moves: Moves;
}) {
  const { length } = useUnits();
  const states = useMemo(() => laneStates(slot, place), [slot, place]);
  return (
    <Sheet className="space-y-3 p-4">
      <h2 className="text-2xl">
        {slot.number}. {titleOf(slot)}
      </h2>
      {slot.blocks.map((block) => (
        <div key={block.blockId}>
          <p>
            {slot.blocks.length > 1 && <b>{block.title}. </b>}
            <Said>{block.setUp}</Said>
          </p>
          {block.problem && (
            <p className="rounded-md border-2 border-care bg-care-bg px-3 py-1 text-care" role="note">
              <Said>{`Does not fit here: ${block.problem}. ${mendOf(block)}`}</Said>
            </p>
          )}
          {wallMarkOf(block) !== null && <p>Mark on the wall: {length(wallMarkOf(block)!)} high.</p>}
          {!block.problem && block.atOnce < block.comers && (
            <p className="text-soft">
              {`${block.atOnce} of ${block.comers} at once, in turns: there is room, kit or a way for no more.`}
            </p>
          )}
        </div>
      ))}
      {slot.isAcross && (
        <p>
          Drawn with the wall along the short side, because there is room for it only so: say in Places which
          side it is along.
        </p>
      )}
      <DrawingToTake name={`set-out-${slot.number}`}>
        <FloorPlan
          place={place}
          slot={slot}
          numbered={[...slot.comes, ...slot.stays]}
          states={states}
          moves={moves}
        />
      </DrawingToTake>
      {slot.strayM !== null &&
        !moves.moves.some(({ blockId }) => slot.blocks.some((one) => one.blockId === blockId)) && (
          <p>
            {slot.strayM > 0
              ? `Between lanes ${length(slot.strayM)} is left for balls that stray.`
              : 'No floor is left between lanes for balls that stray: who loses one calls it, and fetches it when the neighbours stop.'}
          </p>
        )}
      <LaneNotes slot={slot} states={states} moves={moves} />
      <TapeList slot={slot} paces={paces} />
    </Sheet>
  );
}
