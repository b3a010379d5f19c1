import type { Book } from '@/drills';
import { schoolQuestions } from '@/drills/base/school-words';
import { questionsOf } from '@/drills/base/schools';
import type { Drill } from '@/drills/base/types';

/** The schools that act on a block otherwise than by default, and what decides a drop or a bounce. */
export function ActingSchools({ book, drill }: { book: Book; drill: Drill }) {
  const chosen = questionsOf(drill).flatMap((question) => {
    const { answer, from } = book.school(question, drill.id);
    return from === 'default' ? [] : [`${schoolQuestions[question].title.toLowerCase()}: ${answer}`];
  });
  const rules = [drill.bounceRule, `after a drop: ${drill.dropRule}`].filter(Boolean);
  return (
    <p className="text-sm text-soft" data-schools>
      {[...rules, ...chosen].join(' · ')}
    </p>
  );
}
