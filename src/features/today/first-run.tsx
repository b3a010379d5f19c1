import { AddPlayer } from '@/features/squad/add-player';

const steps = [
  ['Add your players', 'Name, year of birth, hand and sport are enough. Nothing leaves this computer.'],
  ['Plan a session', 'Choose drills; each block shows what it takes and the tape shows whether it fits.'],
  ['Run it and count', 'On court: big zones to tap, a clock that counts in, and nothing tapped is lost.'],
] as const;

/** An empty book: what to do, as a flight of steps with the first one open. */
export function FirstRun({ year }: { year: number }) {
  return (
    <div className="pt-8">
      <h1 className="text-4xl">Three steps to the first session</h1>
      <p className="mt-2 max-w-2xl text-lg text-soft">
        Your book is empty. Start at the bottom of the stairs with the children you coach.
      </p>
      <ol className="mt-10 grid grid-cols-1 items-end md:grid-cols-3">
        {steps.map(([title, text], index) => (
          <li
            key={title}
            className="border-t-4 border-l-4 border-ink bg-chalk p-5 last:border-r-4"
            style={{ minHeight: 190 + index * 70 }}
          >
            <h2 className="text-2xl">
              <span className="tabular">{index + 1}</span> {title}
            </h2>
            <p className="mt-2">{text}</p>
            {index === 0 && (
              <div className="mt-4">
                <AddPlayer year={year} text="Add the first player" />
              </div>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}
