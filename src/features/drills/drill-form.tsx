'use client';

import { Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import {
  dropRules,
  easings,
  families,
  feedHows,
  focuses,
  helpers,
  holds,
  predictabilities,
  spaceNeeds,
  spices,
  sports,
  stances,
  type Drill,
} from '@/drills/base/types';
import type { Problem } from '@/core/base/outcome';
import { saveDrillAction } from '@/server/actions';
import { check } from '@/schemas/check';
import { drillSchema } from '@/schemas/drill';
import { momentAt } from '@/ui/dates';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { PageHead, Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { draftOf, draftStep, drillOf, emptyStep, type Draft } from './draft';
import { FaultRows, KitRows } from './drill-rows';
import { FourThings } from './four-things';
import { Lines, Options, Text, Ticks } from './form-fields';
import { StepFields } from './step-fields';
import { useKeptDraft } from './use-kept-draft';

interface Props {
  readonly drill: Drill;
  /** The own drill that is changed; null for a new one. */
  readonly id: string | null;
  /** The name its draft is kept under in this browser until it is saved. */
  readonly draftKey: string;
}

/** Writes a drill in the same form the catalogue has. Nothing is saved before all of it is sound. */
export function DrillForm({ drill, id, draftKey }: Props) {
  const router = useRouter();
  const notice = useNotice();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  // From nothing, four things are asked for; the rest is there when it is wanted.
  const blank = id === null && drill.id === 'new';
  const [all, setAll] = useState(!blank);
  const form = useForm<Draft>({ defaultValues: draftOf(drill) });
  const { control, register, handleSubmit, formState } = form;
  const steps = useFieldArray({ control, name: 'steps' });
  const { keptMs, startOver, saved } = useKeptDraft(form, draftKey, () => draftOf(drill));

  const save = handleSubmit(async (draft) => {
    const typed = drillOf(draft);
    const checked = check(drillSchema, typed);
    if (!checked.ok) return setProblems(checked.problems);
    const outcome = await ask(() => saveDrillAction(typed, id ?? undefined));
    if (!outcome.ok) return setProblems(outcome.problems);
    saved();
    notice({ text: `${draft.title} is saved.` });
    router.push(`/drills/${outcome.value.id}`);
  });

  return (
    <form onSubmit={save} noValidate>
      <PageHead
        title={id === null ? 'Write a drill' : `Change ${drill.title}`}
        actions={
          <>
            <ButtonLink look="quiet" href={id === null ? '/drills' : `/drills/${id}`}>
              Leave
            </ButtonLink>
            <Button type="submit" look="now" disabled={formState.isSubmitting}>
              Save drill
            </Button>
          </>
        }
      >
        {blank
          ? 'Four things first; the rest has sensible beginnings.'
          : 'The same form every drill has. Lists take one thing a line.'}
      </PageHead>
      {keptMs !== null && (
        <div
          role="status"
          className="mb-3 flex flex-wrap items-center gap-3 rounded-md border-2 border-care bg-care-bg px-3 py-1 text-care"
        >
          <p className="flex-1">Your draft of {momentAt(keptMs)} is back: it was not saved yet.</p>
          <Button onClick={startOver}>Start over</Button>
        </div>
      )}
      {problems.length > 0 && (
        <div role="alert" className="mb-3 rounded-md border-2 border-stop bg-stop-bg px-4 py-2 text-stop">
          <p className="font-bold">Nothing is saved yet:</p>
          <ul className="list-disc pl-5">
            {problems.map((problem) => (
              <li key={`${problem.field} ${problem.message}`}>
                {stepName(problem.field)}
                {problem.message}
              </li>
            ))}
          </ul>
        </div>
      )}
      {blank && <FourThings form={form} />}
      {blank && (
        <Button className="mb-3" aria-expanded={all} aria-controls="the-rest" onClick={() => setAll(!all)}>
          {all ? 'Hide the rest' : 'Show the rest: ages, kit, faults, doses, more steps'}
        </Button>
      )}
      <div id="the-rest" hidden={!all}>
        <div className="grid items-start gap-4 lg:grid-cols-2">
          <Sheet className="grid grid-cols-2 gap-3 p-4" aria-label="About">
            {!blank && <Text label="Title" field={register('title')} className="col-span-2" />}
            <Options label="Family" field={register('family')} options={families} />
            <Ticks label="Sports" field={register('sports')} options={sports} />
            <div className="grid grid-cols-2 gap-2">
              <Text label="From age" field={register('ageFrom')} number />
              <Text label="To age" field={register('ageTo')} number />
            </div>
            <div className="grid grid-cols-2 gap-2">
              <Text label="Fewest players" field={register('playersMin')} number />
              <Text label="At once" field={register('playersMax')} number />
            </div>
            <Lines label="Purpose" field={register('purpose')} rows={2} className="col-span-2" />
            <Lines label="Set-up" field={register('setUp')} rows={2} className="col-span-2" />
            <Ticks label="Trains" field={register('trains')} options={focuses} className="col-span-2" />
          </Sheet>
          <Sheet className="grid grid-cols-3 gap-3 p-4" aria-label="How and where">
            <Options label="Feed" field={register('feedHow')} options={feedHows} />
            <Options label="Predictability" field={register('predictability')} options={predictabilities} />
            <Options label="Helper" field={register('helper')} options={helpers} />
            <Options label="Hold" field={register('hold')} options={holds} />
            <Options label="Stance" field={register('stance')} options={stances} />
            <Options label="After a drop" field={register('dropRule')} options={dropRules} />
            <Text label="Length, m" field={register('lengthM')} number />
            <Text label="Width, m" field={register('widthM')} number />
            <Text label="Clear height, m" field={register('ceilingM')} number />
            <Options label="Space for" field={register('spacePer')} options={['player', 'station']} />
            <Text label="Set-up, s" field={register('setUpS')} number />
            <Text label="Changeover, s" field={register('changeoverS')} number />
            <Ticks label="Needs" field={register('needs')} options={spaceNeeds} className="col-span-3" />
            <KitRows form={form} className="col-span-3" />
          </Sheet>
          <Sheet className="space-y-3 p-4" aria-label="Form and care">
            <Lines label="Checkpoints" hint="Two to five." field={register('checkpoints')} />
            <FaultRows form={form} />
            <Lines label="Care" field={register('care')} rows={2} />
          </Sheet>
          <Sheet className="space-y-3 p-4" aria-label="Changes and recap">
            <Ticks label="Spices" field={register('spices')} options={spices} />
            <Ticks label="Easings" field={register('easings')} options={easings} />
            <Lines label="Questions" hint="One or two." field={register('questions')} rows={2} />
            <Lines label="Home challenge" field={register('homeChallenge')} rows={2} />
          </Sheet>
        </div>
        <h2 className="mt-5 mb-2 text-2xl">The ladder, easiest first</h2>
        <ol className="space-y-3">
          {steps.fields.map((field, index) => (
            <li key={field.id}>
              <StepFields
                form={form}
                index={index}
                asked={blank && index === 0}
                of={steps.fields.length}
                onMove={(to) => steps.move(index, to)}
                onRemove={() => steps.remove(index)}
              />
            </li>
          ))}
        </ol>
        <Button className="mt-3" onClick={() => steps.append(draftStep(emptyStep()))}>
          <Plus aria-hidden size={18} /> Add a step
        </Button>
      </div>
    </form>
  );
}

/** "Step 2: " for a problem in a step. */
function stepName(field: string): string {
  const at = /^steps\[(\d+)\]/.exec(field)?.[1];
  return at === undefined ? '' : `Step ${Number(at) + 1}: `;
}
