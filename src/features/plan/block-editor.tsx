'use client';

import { ArrowLeft, ArrowRight, Lock, Trash2, Wind } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import type { Book } from '@/drills';
import { paceOn, rateOn } from '@/session/base/pace';
import { amountsDiffer } from '@/session/plan/edits';
import { recordOf, workOf, type OwnWork, type PlanBlock } from '@/session/base/plan';
import type { Change } from '@/drills/base/types';
import type { Mend, Warning } from '@/core/care/care';
import { amountOf } from '@/core/dose/amount';
import type { Dose } from '@/core/dose/dose';
import { doseTime } from '@/core/dose/time';
import type { DosePart } from '@/core/explanations/dose';
import { originInWords } from '@/core/base/origin';
import type { Fit } from '@/core/venues/fits';
import { settingInWords } from '@/core/calculators/setting-words';
import type { BlockTime } from '@/core/plan/block-time';
import type { PlanTime } from '@/core/plan/plan-time';
import type { TimeSetting } from '@/session/plan/fit-time';
import { inMinutes } from '@/core/base/words';
import type { PlayerFacts } from '@/server/views/facts';
import type { SessionPlanView } from '@/server/views/session-plan';
import { Button } from '@/ui/button';
import { Figure } from '@/ui/figure';
import { FitLine } from '@/ui/fit-line';
import { Stairs } from '@/ui/stairs';
import { BlockChanges } from './block-changes';
import { ActingSchools } from './acting-schools';
import { BlockPlayers } from './block-players';
import type { CircuitPanelProps } from './circuit/circuit-panel';
import { CircuitLater } from './circuit/panel-later';
import type { PlanDoc } from './plan-store';
import { CareList } from './care-panel';
import { DoseFields } from './dose-fields';
import { decidedIn } from './in-view';
import { LengthForm } from './length-form';
import { SettingLine } from './setting-line';
import { LabelledNumber } from './small-number';
import { Said } from '@/ui/units';

export interface BlockEditorProps {
  readonly view: SessionPlanView;
  readonly book: Book;
  readonly block: PlanBlock;
  /** The whole plan, as its circuits need it. */
  readonly doc: PlanDoc;
  readonly whole: PlanTime;
  readonly setting: TimeSetting;
  readonly onPlan: CircuitPanelProps['onPlan'];
  /** Undefined while everybody sits it out. */
  readonly time: BlockTime | undefined;
  readonly fit: Fit | undefined;
  readonly warnings: readonly Warning[];
  readonly place: { readonly index: number; readonly of: number };
  readonly players: readonly PlayerFacts[];
  readonly placeId: string | null;
  readonly onStep: (stepId: string) => void;
  readonly onDose: (dose: Dose, field: string) => void;
  readonly onOwn: (playerId: string, own: Partial<OwnWork>) => void;
  readonly onChange: (change: Change) => void;
  readonly onStations: (stations: number) => void;
  readonly onBreak: (seconds: number) => void;
  readonly onClearSetting: () => void;
  /** Gives it a length in seconds; false where it is as near as it can be. */
  readonly onLength: (seconds: number) => boolean;
  /** One amount for everybody, whatever their age. */
  readonly onSameForAll: () => void;
  /** Who works in it though it is a drill of the other game. */
  readonly strangers: readonly PlayerFacts[];
  readonly onShorter: () => void;
  readonly onMend: (mend: Mend) => void;
  readonly onMove: (to: number) => void;
  readonly onRemove: () => void;
}

/** One block opened: its step, its dose, whether it fits, the care it takes, and what it costs and gives. */
export function BlockEditor(props: BlockEditorProps) {
  const { view, book, block, time, fit, warnings, players } = props;
  const { drill, step } = workOf(book, block)!;
  const held = view.held.includes(block.id);
  // The block in which an amount was typed while children have their own.
  const [typed, setTyped] = useState<string | null>(null);
  const youngest = Math.min(...players.map((player) => player.age));
  const { circuit } = block;

  const origins = {
    touch: block.setting ? settingInWords(block.setting) : originInWords(step.perTouchS),
    drop: originInWords(step.dropCostS),
    setUp: originInWords(drill.setUpS),
  };
  /** The inputs of a number for one player. */
  const partOf = (player: PlayerFacts): DosePart => {
    const work = workOf(book, block, player.id)!;
    const record = recordOf(view.records, player.id, drill.id, work.step.id);
    const pace = paceOn(work.drill, work.step, { own: player.age, youngest }, record, block);
    const { dose } = work;
    return {
      dose,
      pace,
      time: doseTime(dose, pace),
      who: player.name,
      rate: rateOn(work.step, record),
      origins,
    };
  };
  const slowest = players.find((player) => player.id === time?.slowestId) ?? players[0]!;
  const targetOf = (playerId: string, stepId: string) => decidedIn(view, playerId, drill.id, stepId);

  return (
    <div className="space-y-2.5">
      <Head
        {...props}
        title={drill.title}
        about={`${drill.family} · ${step.cue}`}
        held={held}
        href={`/drills/${drill.id}`}
      />
      {held && (
        <p
          className="flex items-center gap-2 rounded-md border-2 border-line bg-chalk px-3 py-2 text-sm"
          data-held
        >
          <Lock aria-hidden size={16} className="shrink-0" />
          <span>
            Held: it stays as it was done. If it was something else,{' '}
            <Link
              href={`/sessions/${view.session.id}/review?block=${block.id}`}
              className="font-semibold underline underline-offset-4"
            >
              correct it in the review
            </Link>
            .
          </span>
        </p>
      )}
      {fit && <FitLine fit={fit} />}
      {props.strangers.length > 0 && !held && <OtherGame {...props} sports={drill.sports} />}
      {warnings.length > 0 && <CareList warnings={warnings} held={view.held} onMend={props.onMend} />}
      {circuit && (
        <CircuitLater
          book={book}
          block={block}
          players={players}
          held={held}
          part={circuit}
          doc={props.doc}
          time={props.whole}
          setting={props.setting}
          onPlan={props.onPlan}
        />
      )}
      <div className="flex items-end gap-4">
        <label className="min-w-0 flex-1 font-semibold">
          Step
          <select
            value={step.id}
            disabled={held}
            onChange={(event) => props.onStep(event.target.value)}
            className="mt-1 block min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-3"
          >
            {drill.steps.map((one, index) => (
              <option key={one.id} value={one.id}>
                {index + 1}. {one.title}
              </option>
            ))}
          </select>
        </label>
        <Stairs
          treads={drill.steps}
          at={step.id}
          label={`Step ${drill.steps.indexOf(step) + 1} of ${drill.steps.length}: ${step.title}`}
        />
      </div>
      <p className="text-sm">
        <Said>{step.task}</Said> <span className="text-soft">{step.change}</span>
      </p>
      <fieldset disabled={held} className="space-y-2.5">
        <SettingLine
          block={block}
          drill={drill}
          step={step}
          playerId={players[0]?.id}
          placeId={props.placeId}
          onClear={props.onClearSetting}
        />
        <DoseFields
          key={`${block.id} ${step.id} ${held}`}
          dose={block.dose}
          onChange={(dose, field) => {
            const amount = amountOf(dose);
            setTyped(amount !== amountOf(block.dose) && amountsDiffer(block) ? block.id : typed);
            props.onDose(dose, field);
          }}
        />
        {typed === block.id && amountsDiffer(block) && (
          <p data-own-doses className="flex flex-wrap items-center gap-x-3 rounded-md bg-chalk px-3 text-sm">
            <span>
              Each child keeps their own dose:{' '}
              {players
                .flatMap(({ id, name }) => {
                  const own = block.own.find((one) => one.playerId === id);
                  return own?.amount ? [`${name} ${own.amount}`] : [];
                })
                .join(', ')}
              .
            </span>
            <Button look="quiet" className="px-2 text-sm" onClick={props.onSameForAll}>
              {amountOf(block.dose)} for everybody
            </Button>
          </p>
        )}
      </fieldset>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-1 border-t-2 border-line pt-2">
        {time?.station && (
          <p className="text-sm">
            A visit lasts {inMinutes(time.station.stationS)}; the dose takes {inMinutes(time.station.needS)}{' '}
            of it
            {time.turns > 1 && `, in ${time.turns} turns`}.
          </p>
        )}
        {time && !time.station && (
          <div>
            <span className="text-lg font-semibold">
              <Figure
                label={`Time of this block: ${inMinutes(time.totalS)}`}
                explain={async () =>
                  (await import('@/core/explanations/dose')).explainBlockTime({ ...partOf(slowest), time })
                }
              >
                {inMinutes(time.totalS)}
              </Figure>
            </span>{' '}
            <span className="text-sm text-soft">{partsInWords(time)}</span>
          </div>
        )}
        {time && !time.station && (
          <LengthForm key={block.id} totalS={time.totalS} disabled={held} onLength={props.onLength} />
        )}
        <fieldset disabled={held} className="ml-auto flex flex-wrap items-center gap-4">
          <Button
            className="px-2 text-sm"
            onClick={props.onShorter}
            title="Six tenths of the work, of the same shape"
          >
            <Wind aria-hidden size={16} /> Breathless: shorten
          </Button>
          <LabelledNumber
            key={`${block.id} stations`}
            label="Stations"
            value={block.stations}
            min={1}
            max={8}
            onChange={props.onStations}
          />
          <LabelledNumber
            key={`${block.id} break`}
            label={circuit ? 'Drink after the circuit, s' : 'Drink after, s'}
            value={block.breakS}
            min={0}
            max={600}
            onChange={props.onBreak}
          />
        </fieldset>
      </div>
      <ActingSchools book={book} drill={drill} />
      <fieldset disabled={held}>
        <BlockChanges drill={drill} put={block.changes} onToggle={props.onChange} />
      </fieldset>
      {time ? (
        <BlockPlayers
          book={book}
          block={block}
          time={time}
          players={players}
          held={held}
          targetOf={targetOf}
          partOf={partOf}
          onOwn={props.onOwn}
        />
      ) : (
        <p className="text-soft">Everybody sits this block out: it takes no time. Undo brings them back.</p>
      )}
    </div>
  );
}

/** Children at a drill of the other game: said, with what can be done about it. */
function OtherGame({
  strangers,
  sports,
  players,
  onOwn,
  onRemove,
}: BlockEditorProps & { readonly sports: readonly string[] }) {
  const names = strangers.map(({ name }) => name).join(', ');
  return (
    <p
      data-other-game
      className="flex flex-wrap items-center gap-x-3 rounded-md border-2 border-care bg-care-bg px-3 py-1 text-sm text-care"
    >
      <span>
        This is a drill of {sports.join(' and ')}; {names} {strangers.length === 1 ? 'plays' : 'play'}{' '}
        {[...new Set(strangers.map(({ sport }) => sport))].join(' and ')}.
      </span>
      {strangers.length < players.length && (
        <Button
          className="px-2 text-sm"
          onClick={() => {
            for (const { id } of strangers) onOwn(id, { out: true });
          }}
        >
          {strangers.length === 1 ? `${names} sits it out` : 'They sit it out'}
        </Button>
      )}
      <Button className="px-2 text-sm" onClick={onRemove}>
        Take the block out
      </Button>
    </p>
  );
}

function partsInWords(time: BlockTime): string {
  const parts = [
    `set-up ${inMinutes(time.setUpS)}`,
    `showing ${inMinutes(time.showS)}`,
    time.turns > 1 ? `${time.turns} turns ${inMinutes(time.activeS)}` : `work ${inMinutes(time.workS)}`,
    time.turns === 1 && time.restS > 0 && `rest ${inMinutes(time.restS)}`,
    time.turns === 1 && time.collectS > 0 && `collecting ${inMinutes(time.collectS)}`,
    time.changeoverS > 0 && `changeover ${inMinutes(time.changeoverS)}`,
    time.breakS > 0 && `drink ${inMinutes(time.breakS)}`,
  ];
  return parts.filter(Boolean).join(', ') + (time.capped ? '; the time cap ends it' : '');
}

interface HeadProps extends BlockEditorProps {
  readonly title: string;
  readonly about: string;
  readonly held: boolean;
  readonly href: string;
}

function Head({ title, about, held, href, place, block, onMove, onRemove }: HeadProps) {
  return (
    <div className="flex flex-wrap items-start justify-between gap-2">
      <div className="min-w-0 flex-1 basis-52">
        <h2 className="text-xl">
          {place.index + 1}. {title} {block.retest && <span className="text-sm text-soft">(retest)</span>}
        </h2>
        <p className="text-sm text-soft">
          <Link href={href} className="font-semibold text-ink underline underline-offset-4">
            Drill page
          </Link>{' '}
          · {about}
        </p>
      </div>
      <div className="-mt-1 flex shrink-0">
        <Button
          look="quiet"
          className="px-2"
          onClick={() => onMove(place.index - 1)}
          disabled={place.index === 0}
          aria-label="Move earlier"
        >
          <ArrowLeft aria-hidden size={18} /> Earlier
        </Button>
        <Button
          look="quiet"
          className="px-2"
          onClick={() => onMove(place.index + 1)}
          disabled={place.index === place.of - 1}
          aria-label="Move later"
        >
          Later <ArrowRight aria-hidden size={18} />
        </Button>
        <Button
          look="quiet"
          className="px-2"
          onClick={onRemove}
          disabled={held}
          title={held ? 'This block was held: it stays in the plan.' : undefined}
          aria-label="Take out this block"
        >
          <Trash2 aria-hidden size={18} /> Take out
        </Button>
      </div>
    </div>
  );
}
