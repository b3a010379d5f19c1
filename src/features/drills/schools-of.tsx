'use client';

import { schoolQuestions } from '@/drills/base/school-words';
import { questionsOf, type SchoolQuestion } from '@/drills/base/schools';
import type { Drill } from '@/drills/base/types';
import { chooseSchoolAction } from '@/server/actions';
import { ask, problemsText } from '@/ui/ask';
import { useWholeBook } from '@/ui/whole-book';
import { Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';

const fromWords = {
  default: 'the default',
  coach: 'the coach’s choice',
  drill: 'chosen for this drill',
  player: 'the player’s own',
};

/** Where practitioners disagree about this drill: what acts here, why, and a choice for this drill alone. */
export function SchoolsOf({ drill }: { drill: Drill }) {
  const book = useWholeBook();
  const notice = useNotice();
  const asked = questionsOf(drill);
  if (asked.length === 0) return null;
  const choose = async (question: SchoolQuestion, answer: string | null) => {
    const outcome = await ask(() => chooseSchoolAction({ scope: 'drill', key: drill.id, question, answer }));
    notice(
      outcome.ok
        ? { text: `${schoolQuestions[question].title}: ${answer ?? 'as everywhere'}.` }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  return (
    <Sheet className="p-3" aria-label="Teaching styles">
      <h2 className="text-lg">Teaching styles that act here</h2>
      {asked.map((question) => {
        const { title, answers, why } = schoolQuestions[question];
        const { answer, from } = book.school(question, drill.id);
        const reason = question === 'order' && drill.orders ? drill.orders.why : why;
        return (
          <div key={question} className="border-t border-line py-1.5 first-of-type:border-0">
            <label className="flex items-center justify-between gap-2">
              <span className="font-semibold">{title}</span>
              <select
                value={from === 'drill' ? answer : ''}
                onChange={(event) => void choose(question, event.target.value || null)}
                className="min-h-8 touch:min-h-11 max-w-44 rounded-md border-2 border-edge bg-sheet px-1"
              >
                <option value="">{from === 'drill' ? 'as everywhere' : answer}</option>
                {answers
                  .filter((one) => from === 'drill' || one !== answer)
                  .map((one) => (
                    <option key={one}>{one}</option>
                  ))}
              </select>
            </label>
            <p className="text-soft">
              {answer}: {fromWords[from]}. {reason}
            </p>
          </div>
        );
      })}
    </Sheet>
  );
}
