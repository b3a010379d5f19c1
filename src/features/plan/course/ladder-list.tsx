import type { CourseView } from '@/server/views/course';
import { Said } from '@/ui/units';

/** The steps up to the goal, each with what is done. */
export function LadderList({ ladder }: Pick<CourseView, 'ladder'>) {
  return (
    <ol className="my-2 list-inside list-decimal space-y-1">
      {ladder.map(({ title, task }) => (
        <li key={title}>
          <b>
            <Said>{title}</Said>
          </b>
          : <Said>{task}</Said>
        </li>
      ))}
    </ol>
  );
}
