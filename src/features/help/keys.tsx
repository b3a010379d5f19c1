/** The keys of the court, for numbers 1 to 12 and what is done most. */
export const courtKeys: readonly (readonly [string, string])[] = [
  ['1 to 9, 0, - and =', 'count for numbers 1 to 12'],
  ['with Shift', 'a miss for that number'],
  ['Space', 'start and pause'],
  ['U or Backspace', 'undo the last mark'],
  ['N and P', 'the next block and the one before'],
  ['C', 'type a count'],
  ['A', 'adjust'],
  ['T', 'time'],
];

const deskKeys: readonly (readonly [string, string])[] = [
  ['Ctrl or ⌘ with Z', 'undo in a plan; with Shift, do it again'],
  ['Alt with ← and →', 'move the block that has the focus on the tape'],
  ['Delete', 'take that block out'],
  ['Space, then arrows', 'lift a block on the tape and move it'],
  ['Tab and Enter', 'reach and press everything'],
];

/** Every key there is, on the court and at the desk. */
export function Keys() {
  return (
    <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2">
      <KeyList title="On court" keys={courtKeys} />
      <KeyList title="At the desk" keys={deskKeys} />
    </div>
  );
}

function KeyList({ title, keys }: { title: string; keys: readonly (readonly [string, string])[] }) {
  return (
    <section aria-label={`Keys: ${title}`}>
      <h3 className="text-lg">{title}</h3>
      <dl>
        {keys.map(([key, what]) => (
          <div key={key} className="flex gap-3 border-t border-line py-1">
            <dt className="w-44 shrink-0">
              <kbd className="rounded-sm border-2 border-edge px-1.5 text-sm font-semibold whitespace-nowrap">
                {key}
              </kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
