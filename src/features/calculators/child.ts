import { ballOfStage, type BallKind } from '@/core/ballistics/balls';
import { floorOf, type FloorKind } from '@/core/ballistics/surfaces';
import { reachOf, type Reach } from '@/core/ballistics/wall/reach';
import { fitOf } from '@/core/players/fit';
import { heightOf } from '@/core/players/growth';
import type { BenchesView } from '@/server/views/benches';
import type { KnownPlace } from '@/server/views/facts';
import type { PlayerFacts } from '@/server/views/facts';

/** A child as the benches see them: their measures from the fit, and the ball they play with. */
export interface BenchChild {
  readonly id: string;
  readonly name: string;
  readonly age: number;
  readonly sport: 'tennis' | 'table tennis';
  readonly heightM: number;
  readonly reachM: number;
  readonly strideM: number;
  readonly sideStepM: number;
  readonly hoopM: number;
  readonly ball: BallKind;
  readonly reach: Reach;
}

const nobody: PlayerFacts = {
  id: '',
  name: 'A child of ten',
  age: 10,
  sport: 'tennis',
  hand: 'right',
  stage: 'green',
  focus: '',
  careNote: '',
  heightCm: null,
  racketIn: null,
};

export function benchChild(facts: PlayerFacts, fits: BenchesView['fits']): BenchChild {
  const fitted = fitOf(facts, fits[facts.id]);
  const heightM = heightOf(facts.age, facts.heightCm).valueM;
  const [strideM, sideStepM, contactM] = [
    fitted.strideM.value,
    fitted.sideStepM.value,
    fitted.contactM.value,
  ];
  return {
    id: facts.id,
    name: facts.name,
    age: facts.age,
    sport: facts.sport,
    heightM,
    reachM: fitted.reachM.value,
    strideM,
    sideStepM,
    hoopM: fitted.hoopM.value,
    ball: ballOfStage(facts.stage, facts.sport),
    reach: reachOf({ heightM, strideM, sideStepM, contactM }),
  };
}

/** The chosen player; a child of ten where nobody is on the squad. */
export const chosenChild = (view: BenchesView, id: string): BenchChild =>
  benchChild(view.players.find((one) => one.id === id) ?? view.players[0] ?? nobody, view.fits);

/** The floor of a place; a hard court where none is known. */
export const floorHere = (place: KnownPlace | undefined): FloorKind =>
  place ? floorOf(place.surface) : 'court';

export const childOptions = (view: BenchesView) =>
  view.players.map(({ id, name, age }) => ({ value: id, text: `${name}, ${age}` }));

export const placeOptions = (view: BenchesView) => [
  ...view.places.map(({ id, name }) => ({ value: id, text: name })),
  { value: '', text: 'Anywhere: a hard court' },
];
