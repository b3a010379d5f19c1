import { FileDown } from 'lucide-react';
import { clockTime } from '@/core/base/words';
import type { Book } from '@/drills';
import type { SessionPlanView } from '@/server/views/session-plan';
import type { PaperBlock } from '@/session/plan/paper';
import { buttonClass } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { PageHead } from '@/ui/page-head';
import { Tape } from '@/ui/tape';
import { circuitRows, type CircuitRows } from './circuit-rows';
import { paperParts } from './paper-parts';
import { PrintButton } from './print-button';
import { Said } from '@/ui/units';

/** Boxes to count in beside a name: as many tries as fit on a line. */
const boxes = 5;

/** A session on paper: what the coach reads at the court when nothing else is at hand, with room to count. */
export function SessionPaper({ view, book }: { view: SessionPlanView; book: Book }) {
  const { session } = view;
  const parts = paperParts(view, book);
  const { time, blocks, names, care, notes } = parts;
  return (
    <>
      <PageHead
        title={session.title}
        actions={
          <>
            <ButtonLink href={`/sessions/${session.id}/plan`}>Plan</ButtonLink>
            <ButtonLink href={`/sessions/${session.id}/set-out`}>Set-out</ButtonLink>
            <a className={buttonClass()} href={`/sessions/${session.id}/paper.pdf`} download>
              <FileDown aria-hidden size={18} /> PDF
            </a>
            <PrintButton />
          </>
        }
      >
        {parts.about}
      </PageHead>
      {blocks.length === 0 ? (
        <p>The plan is empty: open it and add the first block.</p>
      ) : (
        <>
          <Tape
            blocks={time.blocks}
            titles={blocks.map((block) => block.drill.title)}
            totalS={time.totalS}
            bookedS={time.bookedS}
          />
          {care && <p className="my-2 border-2 border-ink px-2 py-1 text-sm">{care}</p>}
          <Written texts={notes.get('')} />
          <ol className="mt-2 space-y-2 print:mt-1 print:space-y-1">
            {blocks.map((block, index) => [
              block.circuit && (
                <CircuitOnPaper
                  key={`${block.id} circuit`}
                  rows={circuitRows(block.circuit, names, index + 1)}
                />
              ),
              <OnPaper
                key={block.id}
                block={block}
                number={index + 1}
                names={names}
                notes={notes.get(block.id)}
              />,
            ])}
          </ol>
          <Recap questions={parts.questions} />
        </>
      )}
    </>
  );
}

/** Who is where, and when. */
function CircuitOnPaper({ rows: { about, groups, head, rounds } }: { readonly rows: CircuitRows }) {
  return (
    <li
      className="break-inside-avoid rounded-md border-2 border-ink p-2 text-sm print:px-2 print:py-1"
      data-paper-circuit
    >
      <p className="font-semibold">{about}</p>
      <p>{groups.join(' · ')}</p>
      <div className="overflow-x-auto">
        <table className="tabular w-full text-left">
          <caption className="sr-only">Who is where, and when</caption>
          <thead>
            <tr>
              {head.map((text) => (
                <th key={text} scope="col" className="pr-2">
                  {text}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rounds.map(([from, ...at]) => (
              <tr key={from} className="border-t border-line">
                <th scope="row">{from}</th>
                {at.map((group, index) => (
                  <td key={index} className="font-bold">
                    {group}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </li>
  );
}

function OnPaper({
  block,
  number,
  names,
  notes,
}: {
  block: PaperBlock;
  number: number;
  names: ReadonlyMap<string, string>;
  notes: readonly string[] | undefined;
}) {
  const { drill } = block;
  return (
    <li
      className="break-inside-avoid rounded-md border-2 border-ink p-2 text-sm print:px-2 print:py-1 print:leading-tight"
      data-paper-block
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-lg print:text-base">
          {number}. {drill.title}: <Said>{block.step}</Said>
        </h2>
        <p className="tabular font-semibold">
          {block.station && `station ${block.station.number} of ${block.station.of} · `}
          from {clockTime(block.fromS)} · {clockTime(block.totalS)} min · {block.dose}
        </p>
      </div>
      <div className="grid gap-x-4 gap-y-1 md:grid-cols-2 print:grid-cols-2">
        <div>
          <p>
            <Said>{block.task}</Said>
          </p>
          <p className="text-soft">
            <Said>{drill.setUp}</Said> {drill.kit.map(({ count, item }) => `${count} × ${item}`).join(', ')}
          </p>
          <p className="font-bold">“{block.cue}”</p>
          <p>{drill.checkpoints.join(' · ')}</p>
          {block.care.length > 0 && (
            <p className="font-semibold">
              Care: <Said>{block.care.join(' ')}</Said>
            </p>
          )}
          <Written texts={notes} />
        </div>
        {block.together ? (
          <p>
            All together, by the clock. Done:{' '}
            {block.lines.map(({ playerId }) => (
              <span key={playerId} className="mr-3 inline-flex items-center gap-1 whitespace-nowrap">
                <Box /> {names.get(playerId)}
              </span>
            ))}
          </p>
        ) : (
          <table className="w-full self-start text-left">
            <thead>
              <tr>
                <th scope="col">Name</th>
                <th scope="col">Dose, aim</th>
                <th scope="col">Counts</th>
              </tr>
            </thead>
            <tbody>
              {block.lines.map((line) => (
                <tr key={line.playerId} className="border-t border-line" data-paper-line>
                  <th scope="row" className="pr-2 font-semibold">
                    {names.get(line.playerId)}
                    {line.ownStep && <span className="font-normal text-soft"> {line.ownStep}</span>}
                  </th>
                  <td className="pr-2">
                    {line.dose && `${line.dose}, `}
                    <b className="whitespace-nowrap">aim {line.aim}</b>
                  </td>
                  <td>
                    <span className="flex gap-1">
                      {Array.from({ length: boxes }, (_, box) => (
                        <Box key={box} />
                      ))}
                    </span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
    </li>
  );
}

/** Notes of the coach's own, written while planning. */
const Written = ({ texts = [] }: { texts?: readonly string[] }) =>
  texts.map((text) => (
    <p key={text} className="font-bold">
      Note: {text}
    </p>
  ));

const Box = () => <span aria-hidden className="inline-block size-5 border-2 border-ink print:size-4" />;

/** What to ask at the end, one question of each of the last drills, and room to write. */
function Recap({ questions }: { questions: readonly string[] }) {
  return (
    <section aria-label="Recap" className="mt-2 break-inside-avoid text-sm print:leading-tight">
      <h2 className="text-lg">To ask at the end</h2>
      <ul className="space-y-1">
        {questions.map((question) => (
          <li key={question} className="border-b border-edge pb-4 print:pb-3">
            {question}
          </li>
        ))}
        <li className="border-b border-edge pb-8">Notes</li>
      </ul>
    </section>
  );
}
