import { fitOf, type Child, type FitOverrides } from '@/core/players/fit';
import type { Layout } from '@/core/movement/layout';
import type { Room } from '@/core/movement/shapes';
import type { Step } from '../base/types';

/** What of a child a layout is made to: metres. */
export interface LayoutChild {
  readonly age: number;
  readonly strideM: number;
  readonly sideStepM: number;
  /** From the line to a target on the floor. */
  readonly targetM: number;
}

/** The sizes a child’s layouts are made to: those of their fit, with the coach’s own numbers put over them. */
export function layoutChild(child: Child, overrides?: FitOverrides): LayoutChild {
  const { strideM, sideStepM, targetM } = fitOf(child, overrides);
  return {
    age: child.age,
    strideM: strideM.value,
    sideStepM: sideStepM.value,
    targetM: targetM.value,
  };
}

/** What of a step a layout hangs on. */
export type LayoutStep = Pick<Step, 'id' | 'rally'>;

/** What lies on the floor of a drill: from its clear room, the step, and the child. */
export type MakeLayout = (room: Room, step: LayoutStep, child: LayoutChild) => Layout;
export type Layouts = Readonly<Record<string, MakeLayout>>;

/** A step’s own measure, or that of the others. */
export const byStep =
  <T>(usual: T, own: Readonly<Record<string, T>>) =>
  ({ id }: Pick<Step, 'id'>): T =>
    own[id] ?? usual;
