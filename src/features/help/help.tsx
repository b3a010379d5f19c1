import { Link } from '@/ui/link';
import type { ReactNode } from 'react';
import { PageHead, Sheet } from '@/ui/page-head';
import { Keys } from './keys';

const answers: readonly (readonly [question: string, answer: ReactNode])[] = [
  [
    'How do I plan in five minutes?',
    'Press “Plan a session”, choose the group as it last met or a pattern you kept, and press “Fit to the booking” if it is too short or too long. Or open a held session and press “Again”.',
  ],
  [
    'A block should take eight minutes.',
    'Type 8 under “Length” in the block and press “Make it”: rounds, sets or the row are found that come nearest.',
  ],
  [
    'One wall, and nine children.',
    'Add the drills, press “Side by side” and tick them: they become stations, the children groups, and one clock sends everybody on. Under “More” on court a link lets somebody count at a station on their phone.',
  ],
  [
    'Where do the markers go?',
    'Open “Set-out” under “More” in the plan: every mark by two tapes, in the order you walk to them. Draw pillars and benches in Places, and the lanes go round them.',
  ],
  [
    'Strokes without a ball, called?',
    'Open “Shadow sequences” under Drills: write strokes with commas between them, see whether a child’s feet can get there, and write them into a block. On court a whole pass is one press.',
  ],
  [
    'It rains, or somebody is away.',
    'Press “Build” in the plan, say where there is a roof and who comes, and take what is built for that.',
  ],
  [
    'How do sessions lead somewhere?',
    'Press “Courses” on Sessions: say what everybody passes by the end and leave the holidays out. The rest is planned again after every session.',
  ],
  [
    'A child is missing, or one more came.',
    'Press “Who is here?” on Today, or under “More” on court. Who is absent gets no turn; “Somebody else came” lets a child of the squad or a guest join, in the middle of a block too.',
  ],
  [
    'What can they do at home?',
    'Press “Make a vow” on a player’s page, under a review, in a plan or on “Who needs you”. It is planned while you type; print its card, or put a link on it, and any phone counts.',
  ],
  [
    'A family cannot reach this computer.',
    'On the player’s vows press “As one file” and send it. It counts without a network and gives back a text: paste it on “Vows” under “Take a text over”.',
  ],
  [
    'A touch was wrong.',
    'On court: Undo, or “More”, then “Numbers”. Afterwards: “Correct counts” in the review lists every block and child.',
  ],
  [
    'The network or the server is away.',
    'Count on. Every mark is kept on the device at once and sent when the server is back; nothing is counted twice.',
  ],
  [
    'What does the dotted underline mean?',
    'The number was computed: press it to see the rule, what went in, and where that comes from.',
  ],
  [
    'Why does it say “too short to pass”?',
    'The dose is smaller than the step’s mark for that age: it trains, but cannot move the child up today.',
  ],
  [
    'Who decides who moves up?',
    'You do. The review proposes by the mark of the step; “Accept” takes the proposal, the other buttons overrule it, and both are kept.',
  ],
  [
    'Are the care limits rules?',
    'They are cautious limits that warn plainly. Local rules and licensed practice come first.',
  ],
  [
    'Something was removed.',
    <>
      Nothing is ever erased by removing it:{' '}
      <Link href="/removed" className="font-semibold underline underline-offset-4">
        everything removed
      </Link>{' '}
      stands in one place and can be brought back.
    </>,
  ],
  [
    'Where are the children’s data?',
    'In one file on this computer, and nowhere else. No page asks the network for anything.',
  ],
];

/** Short answers, and the keys. */
export function Help() {
  return (
    <>
      <PageHead title="Help">Short answers. Press ? anywhere to see the keys.</PageHead>
      <dl className="gap-x-8 md:columns-2">
        {answers.map(([question, answer]) => (
          <div key={question} className="mb-3 break-inside-avoid border-l-4 border-line pl-3">
            <dt className="font-bold">{question}</dt>
            <dd>{answer}</dd>
          </div>
        ))}
      </dl>
      <Sheet className="mt-3 p-4" aria-label="Keys">
        <h2 className="mb-2 text-xl">Keys</h2>
        <Keys />
      </Sheet>
    </>
  );
}
