'use client';

import { useState } from 'react';
import { recapInWords, recapQuestions, type RecapQuestion } from '@/core/base/recap';
import { answerRecapAction } from '@/server/actions';
import type { Answers } from '@/server/views/facts';
import { ask, problemsText } from '@/ui/ask';
import { Field } from '@/ui/field';

/** What is asked at the end, answered in a word or two; each answer is kept when its field is left. */
export function Recap({ sessionId, answers }: { readonly sessionId: string; readonly answers: Answers }) {
  return (
    <div className="space-y-2">
      {recapQuestions.map((question) => (
        <Asked key={question} sessionId={sessionId} question={question} answer={answers[question] ?? ''} />
      ))}
    </div>
  );
}

interface AskedProps {
  readonly sessionId: string;
  readonly question: RecapQuestion;
  readonly answer: string;
}

function Asked({ sessionId, question, answer }: AskedProps) {
  const [text, setText] = useState(answer);
  const [kept, setKept] = useState(answer);
  const [problem, setProblem] = useState<string | undefined>();
  const keep = async () => {
    if (text.trim() === kept) return;
    const outcome = await ask(() => answerRecapAction(sessionId, { question, text }));
    setProblem(outcome.ok ? undefined : problemsText(outcome));
    if (outcome.ok) setKept(text.trim());
  };
  return (
    <Field
      label={recapInWords[question]}
      error={problem}
      hint={kept !== '' && text.trim() === kept ? 'Kept.' : undefined}
    >
      <input
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => void keep()}
        onKeyDown={({ key }) => {
          if (key === 'Enter') void keep();
        }}
        autoComplete="off"
        placeholder="a word or two"
      />
    </Field>
  );
}
