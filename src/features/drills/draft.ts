import type { Drill, Step } from '@/drills/base/types';
import { ageBands } from '@/drills/base/types';
import type { Measure } from '@/core/counting/measure';
import type { Dose, DoseKind, RoutinePart } from '@/core/dose/dose';
import { doseFields } from '@/core/dose/limits';
import { noLoad } from '@/core/dose/load';
import { dosesOf } from '@/schemas/drill';
import { beginnings } from './beginnings';

/*
 * A drill as it is typed: plain lists are lines of text, things of several parts are rows, numbers are text until they
 * are checked. What a form does not show
 * (origins, school checkpoints, orders) travels along untouched.
 */

export interface DraftStep {
  readonly base: Step;
  title: string;
  task: string;
  change: string;
  cue: string;
  measure: Measure;
  gateResult: string;
  gateDays: string;
  perTouchS: string;
  dropCostS: string;
  usualRate: string;
  kind: DoseKind;
  /** By age band, by field of the dose. */
  doses: Record<string, Record<string, string>>;
  parts: PartRow[];
  zones: ZoneRow[];
}

export interface PartRow {
  name: string;
  partS: string;
  sides: string;
}

export interface ZoneRow {
  label: string;
  points: string;
}

export interface KitRow {
  count: string;
  item: string;
  per: string;
  /** What stands in, one after the other, with commas. */
  standIns: string;
}

export interface FaultRow {
  fault: string;
  correction: string;
  stepBack: boolean;
}

export interface Draft {
  readonly base: Drill;
  title: string;
  family: Drill['family'];
  sports: string[];
  ageFrom: string;
  ageTo: string;
  trains: string[];
  purpose: string;
  setUp: string;
  feedHow: string;
  predictability: string;
  hold: string;
  stance: string;
  helper: string;
  dropRule: string;
  spacePer: string;
  lengthM: string;
  widthM: string;
  ceilingM: string;
  needs: string[];
  kit: KitRow[];
  playersMin: string;
  playersMax: string;
  setUpS: string;
  changeoverS: string;
  checkpoints: string;
  faults: FaultRow[];
  care: string;
  questions: string;
  homeChallenge: string;
  spices: string[];
  easings: string[];
  steps: DraftStep[];
}

/** One thing a line. */
export const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
/** One thing between two commas. */
export const cells = (line: string): string[] => line.split(',').map((cell) => cell.trim());
const number = (text: string | undefined): number => {
  const trimmed = (text ?? '').trim();
  return trimmed === '' ? Number.NaN : Number(trimmed.replace(',', '.'));
};

export function draftStep(step: Step): DraftStep {
  const written = step.doses['13-16'];
  return {
    base: step,
    title: step.title,
    task: step.task,
    change: step.change,
    cue: step.cue,
    measure: step.measure,
    gateResult: String(step.gate.result),
    gateDays: String(step.gate.days),
    perTouchS: String(step.perTouchS.value),
    dropCostS: String(step.dropCostS.value),
    usualRate: String(step.usualRate.value),
    kind: written.kind,
    doses: Object.fromEntries(
      ageBands.map((band) => [
        band,
        Object.fromEntries(
          doseFields[step.doses[band].kind].map(({ name }) => [
            name,
            String((step.doses[band] as unknown as Record<string, number>)[name]),
          ]),
        ),
      ]),
    ),
    parts:
      written.kind === 'routine'
        ? written.parts.map(({ name, partS, sides }) => ({
            name,
            partS: String(partS),
            sides: String(sides),
          }))
        : [],
    zones: (step.zones ?? []).map(({ label, points }) => ({ label, points: String(points) })),
  };
}

export function draftOf(drill: Drill): Draft {
  return {
    base: drill,
    title: drill.title,
    family: drill.family,
    sports: [...drill.sports],
    ageFrom: String(drill.ages.from),
    ageTo: String(drill.ages.to),
    trains: [...drill.trains],
    purpose: drill.purpose,
    setUp: drill.setUp,
    feedHow: drill.feed.how,
    predictability: drill.feed.predictability,
    hold: drill.hold,
    stance: drill.stance,
    helper: drill.helper,
    dropRule: drill.dropRule,
    spacePer: drill.space.per,
    lengthM: String(drill.space.lengthM),
    widthM: String(drill.space.widthM),
    ceilingM: String(drill.space.ceilingM),
    needs: [...drill.space.needs],
    kit: drill.kit.map(({ count, item, per, standIns }) => ({
      count: String(count),
      item,
      per,
      standIns: standIns.join(', '),
    })),
    playersMin: String(drill.players.min),
    playersMax: String(drill.players.max),
    setUpS: String(drill.setUpS.value),
    changeoverS: String(drill.changeoverS.value),
    checkpoints: drill.checkpoints.join('\n'),
    faults: drill.faults.map(({ fault, correction, stepBack }) => ({ fault, correction, stepBack })),
    care: drill.care.map((note) => note.text).join('\n'),
    questions: drill.recap.questions.join('\n'),
    homeChallenge: drill.recap.homeChallenge,
    spices: [...drill.spices],
    easings: [...drill.easings],
    steps: drill.steps.map(draftStep),
  };
}

/**
 * A step counted in another way: with the dose that way begins with, where it has none of that kind yet; a new step with
 * its mark and its zones, too.
 */
export function measuredBy(step: DraftStep, measure: Measure): DraftStep {
  const kind = kindFor(measure);
  const { doses, mark, zones = [] } = beginnings[measure];
  const begun = draftStep({ ...step.base, doses, zones });
  const lacks = ageBands.some((band) =>
    doseFields[kind].some(({ name }) => (step.doses[band]?.[name] ?? '').trim() === ''),
  );
  return {
    ...step,
    measure,
    kind,
    ...(step.base.id === '' && { gateResult: String(mark) }),
    doses: lacks ? begun.doses : step.doses,
    parts: step.parts.length > 0 ? step.parts : begun.parts,
    zones: step.zones.length > 0 ? step.zones : begun.zones,
  };
}

/** The kind of dose a measure begins with. */
export const kindFor = (measure: Measure): DoseKind => dosesOf[measure][0]!;

function doseOf(draft: DraftStep, band: string): unknown {
  const typed = draft.doses[band] ?? {};
  const fields = Object.fromEntries(doseFields[draft.kind].map(({ name }) => [name, number(typed[name])]));
  if (draft.kind !== 'routine') return { kind: draft.kind, ...fields };
  const before = draft.base.doses['13-16'];
  const known = before.kind === 'routine' ? before.parts : [];
  const parts = draft.parts.map(({ name, partS, sides }): RoutinePart => {
    const of = known.find((part) => part.name === name.trim())?.of;
    return { name: name.trim(), partS: number(partS), sides: number(sides), ...(of !== undefined && { of }) };
  });
  // Of a routine whose parts are done only the parts count; every other measure counts its touches.
  return { kind: draft.kind, ...fields, ...(draft.measure !== 'reps' && { counted: true }), parts };
}

/** A number as typed: a changed one is the coach's own. */
const sourced = (before: Step['perTouchS'], text: string) =>
  number(text) === before.value ? before : { value: number(text), origin: 'ours' as const };

function stepOf(draft: DraftStep, index: number, taken: Set<string>): unknown {
  const { base } = draft;
  const doses = Object.fromEntries(ageBands.map((band) => [band, doseOf(draft, band)]));
  const same = JSON.stringify(doses) === JSON.stringify(base.doses);
  const zones = draft.zones.map(({ label, points }) => ({ label: label.trim(), points: number(points) }));
  return {
    ...base,
    id: base.id || idFor(draft.title, index, taken),
    title: draft.title,
    task: draft.task,
    change: draft.change,
    cue: draft.cue,
    measure: draft.measure,
    gate: { result: number(draft.gateResult), days: number(draft.gateDays) },
    doses: doses as unknown as Record<string, Dose>,
    doseOrigin: same ? base.doseOrigin : 'ours',
    perTouchS: sourced(base.perTouchS, draft.perTouchS),
    // A number of the coach's own is that of every age.
    paces: number(draft.perTouchS) === base.perTouchS.value ? base.paces : undefined,
    dropCostS: sourced(base.dropCostS, draft.dropCostS),
    usualRate: sourced(base.usualRate, draft.usualRate),
    ...(zones.length > 0 ? { zones } : { zones: undefined }),
  };
}

/**
 * A new step is named after its title, and never takes the id of one that is or was in the drill: counts are kept under
 * it.
 */
function idFor(wish: string, index: number, taken: Set<string>): string {
  const plain =
    wish
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 50) || `step-${index + 1}`;
  let id = plain;
  for (let n = 2; taken.has(id); n++) id = `${plain}-${n}`;
  taken.add(id);
  return id;
}

/** What was typed, as a drill to be checked. It may be anything but sound. */
export function drillOf(draft: Draft): Record<string, unknown> {
  const { base } = draft;
  const taken = new Set([...base.steps, ...draft.steps.map((step) => step.base)].map((step) => step.id));
  return {
    ...base,
    title: draft.title,
    family: draft.family,
    sports: draft.sports,
    ages: { from: number(draft.ageFrom), to: number(draft.ageTo) },
    trains: draft.trains,
    // What it is for, where nobody says otherwise: to do what is done in it.
    purpose: draft.purpose.trim() === '' ? (draft.steps[0]?.task ?? '') : draft.purpose,
    setUp: draft.setUp,
    feed: { how: draft.feedHow, predictability: draft.predictability },
    hold: draft.hold,
    stance: draft.stance,
    helper: draft.helper,
    dropRule: draft.dropRule,
    space: {
      per: draft.spacePer,
      lengthM: number(draft.lengthM),
      widthM: number(draft.widthM),
      ceilingM: number(draft.ceilingM),
      needs: draft.needs,
    },
    kit: draft.kit.map(({ count, item, per, standIns }) => ({
      item: item.trim(),
      count: number(count),
      per,
      standIns: cells(standIns).filter(Boolean),
    })),
    players: { min: number(draft.playersMin), max: number(draft.playersMax) },
    setUpS: sourced(base.setUpS, draft.setUpS),
    changeoverS: sourced(base.changeoverS, draft.changeoverS),
    checkpoints: lines(draft.checkpoints),
    faults: draft.faults.map(({ fault, correction, stepBack }) => ({
      fault: fault.trim(),
      correction: correction.trim(),
      stepBack,
    })),
    care: lines(draft.care).map(
      (text) => base.care.find((note) => note.text === text) ?? { text, origin: 'ours' },
    ),
    recap: { questions: lines(draft.questions), homeChallenge: draft.homeChallenge },
    spices: draft.spices,
    easings: draft.easings,
    steps: draft.steps.map((step, index) => stepOf(step, index, taken)),
    // An order of a ladder that has changed would name steps that are gone.
    orders: sameSteps(draft) ? base.orders : undefined,
  };
}

const sameSteps = ({ base, steps }: Draft): boolean =>
  base.steps.length === steps.length && base.steps.every((step, index) => step.id === steps[index]!.base.id);

/** A new step to begin with: twenty in a row. */
export function emptyStep(change = ''): Step {
  const dose = (target: number): Dose => ({ kind: 'row', target, capS: 120 });
  return {
    id: '',
    title: '',
    task: '',
    change,
    cue: '',
    measure: 'row',
    gate: { result: 20, days: 2 },
    gateOrigin: 'ours',
    doses: { '4-6': dose(5), '7-9': dose(10), '10-12': dose(20), '13-16': dose(20) },
    doseOrigin: 'ours',
    perTouchS: { value: 1, origin: 'ours' },
    dropCostS: { value: 4, origin: 'ours' },
    usualRate: { value: 0.85, origin: 'ours' },
    load: noLoad,
    moves: [],
  };
}

/** A drill with nothing in it but sensible beginnings: its name, what is done and what is said are asked for. */
export function emptyDrill(): Drill {
  return {
    id: 'new',
    title: '',
    family: 'touch',
    sports: ['tennis'],
    ages: { from: 6, to: 16 },
    trains: ['rhythm'],
    purpose: '',
    setUp: 'Everybody stands further from anyone else than arm and racket reach.',
    feed: { how: 'self', predictability: 'known' },
    hold: 'any',
    stance: 'any',
    dropRule: 'go on from the spot',
    space: { per: 'player', lengthM: 2, widthM: 2, ceilingM: 2.4, needs: [] },
    kit: [{ item: 'ball', count: 1, per: 'player', standIns: ['rolled socks'] }],
    players: { min: 1, max: 6 },
    helper: 'none',
    cards: [],
    warms: [],
    fit: [],
    setUpS: { value: 30, origin: 'ours' },
    changeoverS: { value: 15, origin: 'ours' },
    checkpoints: ['The cue is kept from the first to the last.', 'The last one looks like the first.'],
    faults: [{ fault: 'It gets hasty.', correction: 'Half as fast, then again.', stepBack: false }],
    care: [{ text: 'Stop at any pain; look round before the first one.', origin: 'ours' }],
    spices: [],
    easings: [],
    recap: { questions: ['What helped you most?'], homeChallenge: 'Show it to somebody at home.' },
    steps: [{ ...emptyStep('The first step.'), title: 'First step' }],
  };
}
