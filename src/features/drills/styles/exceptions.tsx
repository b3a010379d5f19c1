'use client';

import { X } from 'lucide-react';
import { useState } from 'react';
import { schoolQuestions } from '@/drills/base/school-words';
import { questions, type SchoolChoice, type SchoolQuestion } from '@/drills/base/schools';
import type { SchoolsView } from '@/server/views/schools';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';
import { useWholeBook } from '@/ui/whole-book';
import { Sheet } from '@/ui/page-head';

interface Props {
  readonly view: SchoolsView;
  /** Of drills and players. */
  readonly choices: readonly SchoolChoice[];
  readonly onChoose: (choice: Omit<SchoolChoice, 'answer'> & { answer: string | null }) => void;
}

/** What is done otherwise for one drill or one player. */
export function Exceptions({ view, choices, onChoose }: Props) {
  const book = useWholeBook();
  const nameOf = ({ scope, key }: SchoolChoice) =>
    scope === 'player' ? view.players.find((player) => player.id === key)?.name : book.drill(key)?.title;
  return (
    <Sheet className="mt-4 p-4" aria-label="Exceptions">
      <h2 className="text-lg">Otherwise for a player or a drill</h2>
      <ul>
        {choices.map((choice) => (
          <li
            key={`${choice.scope} ${choice.key} ${choice.question}`}
            className="flex items-center gap-2 border-b border-line py-1"
          >
            <span className="font-semibold">{nameOf(choice) ?? 'gone'}</span>
            <span>
              {schoolQuestions[choice.question].title.toLowerCase()}: {choice.answer}
            </span>
            <Button
              look="quiet"
              className="ml-auto px-2"
              onClick={() => onChoose({ ...choice, answer: null })}
            >
              <X aria-hidden size={18} /> Take away
              <span className="sr-only"> for {nameOf(choice)}</span>
            </Button>
          </li>
        ))}
      </ul>
      {choices.length === 0 && (
        <p className="text-sm text-soft">None. Add one for a player whose way is another.</p>
      )}
      <AddException view={view} onChoose={onChoose} />
    </Sheet>
  );
}

function AddException({ view, onChoose }: Omit<Props, 'choices'>) {
  const book = useWholeBook();
  const [who, setWho] = useState(view.players[0] ? `player ${view.players[0].id}` : '');
  const [question, setQuestion] = useState<SchoolQuestion>('backhand');
  const { answers } = schoolQuestions[question];
  const [answer, setAnswer] = useState<string>(answers[1]!);
  const [scope = 'player', key = ''] = who.split(' ');
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3">
      <Field label="For">
        <select value={who} onChange={(event) => setWho(event.target.value)}>
          <optgroup label="Players">
            {view.players.map((player) => (
              <option key={player.id} value={`player ${player.id}`}>
                {player.name}
              </option>
            ))}
          </optgroup>
          <optgroup label="Drills">
            {book.drills.map((drill) => (
              <option key={drill.id} value={`drill ${drill.id}`}>
                {drill.title}
              </option>
            ))}
          </optgroup>
        </select>
      </Field>
      <Field label="Question">
        <select
          value={question}
          onChange={(event) => {
            const next = event.target.value as SchoolQuestion;
            setQuestion(next);
            setAnswer(schoolQuestions[next].answers[0]);
          }}
        >
          {questions.map((one) => (
            <option key={one} value={one}>
              {schoolQuestions[one].title}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Answer">
        <select value={answer} onChange={(event) => setAnswer(event.target.value)}>
          {answers.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </Field>
      <Button
        disabled={key === ''}
        onClick={() => onChoose({ scope: scope as SchoolChoice['scope'], key, question, answer })}
      >
        Add exception
      </Button>
    </div>
  );
}
