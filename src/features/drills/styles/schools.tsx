'use client';

import { useState } from 'react';
import { schoolQuestions } from '@/drills/base/school-words';
import {
  acting,
  questions,
  questionsOf,
  type SchoolChoice,
  type SchoolQuestion,
} from '@/drills/base/schools';
import { counted } from '@/core/base/words';
import { chooseSchoolAction } from '@/server/actions';
import type { SchoolsView } from '@/server/views/schools';
import { ask, problemsText } from '@/ui/ask';
import { useHouse } from '@/ui/house';
import { useWholeBook } from '@/ui/whole-book';
import { PageHead, Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { Exceptions } from './exceptions';

/** Where practitioners disagree: which school each coach follows, with the reason for the default, and the exceptions. */
export function Schools({ view }: { view: SchoolsView }) {
  const { contents } = useHouse();
  const [coach, setCoach] = useState('');
  const notice = useNotice();

  const choose = async (choice: Omit<SchoolChoice, 'answer'> & { answer: string | null }) => {
    const outcome = await ask(() => chooseSchoolAction(choice));
    const { title } = schoolQuestions[choice.question];
    notice(
      outcome.ok
        ? { text: `${title}: ${choice.answer ?? 'as above'}.` }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };

  return (
    <>
      <PageHead
        title="Teaching styles"
        actions={
          <label className="flex items-center gap-2 font-semibold">
            For
            <select
              value={coach}
              onChange={(event) => setCoach(event.target.value)}
              className="min-h-11 rounded-md border-2 border-edge bg-sheet px-2"
            >
              <option value="">every coach</option>
              {view.coaches.map((name) => (
                <option key={name}>{name}</option>
              ))}
            </select>
          </label>
        }
      >
        Good coaches disagree here. Choose, and every drill, plan and count follows.
      </PageHead>
      <Sheet>
        {questions.map((question) => (
          <Question
            key={question}
            question={question}
            coach={coach}
            choices={contents.choices}
            onChoose={(answer) => void choose({ scope: 'coach', key: coach, question, answer })}
          />
        ))}
      </Sheet>
      <Exceptions
        view={view}
        choices={contents.choices.filter((one) => one.scope !== 'coach')}
        onChoose={(choice) => void choose(choice)}
      />
    </>
  );
}

interface QuestionProps {
  readonly question: SchoolQuestion;
  readonly coach: string;
  readonly choices: readonly SchoolChoice[];
  readonly onChoose: (answer: string | null) => void;
}

function Question({ question, coach, choices, onChoose }: QuestionProps) {
  const book = useWholeBook(coach);
  const { title, answers, why } = schoolQuestions[question];
  const acts = acting(choices, question, { coach, drillId: '' });
  const own = choices.some((one) => one.scope === 'coach' && one.key === coach && one.question === question);
  const drills = book.drills.filter((drill) => questionsOf(drill).includes(question)).length;
  const name = `school ${question}`;
  return (
    <fieldset className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-line px-4 py-2.5 last:border-0">
      <legend className="sr-only">{title}</legend>
      <div className="w-80">
        <p aria-hidden className="font-semibold">
          {title}
        </p>
        <p className="text-sm text-soft">
          Acts on {counted(drills, 'drill')}.{' '}
          {own ? 'Chosen here.' : acts.from === 'coach' ? 'Chosen for every coach.' : 'The default.'}
        </p>
      </div>
      <div className="flex flex-wrap gap-x-4">
        {answers.map((answer) => (
          <label key={answer} className="flex min-h-9 touch:min-h-11 items-center gap-2">
            <input
              type="radio"
              name={name}
              checked={acts.answer === answer}
              onChange={() => onChoose(answer)}
              className="size-5 accent-[var(--now)]"
            />
            {answer}
          </label>
        ))}
        {own && (
          <button
            type="button"
            onClick={() => onChoose(null)}
            className="min-h-9 touch:min-h-11 px-2 text-sm font-semibold underline underline-offset-4"
          >
            {coach === '' ? 'Back to the default' : 'As every coach'}
            <span className="sr-only">: {title}</span>
          </button>
        )}
      </div>
      <p className="w-full text-sm text-soft">
        Default: {answers[0]}. {why}
      </p>
    </fieldset>
  );
}
