'use client';

import { createContext, useContext, useEffect, useId, useState, type InputHTMLAttributes } from 'react';

/** Told what is typed in a field and cannot be taken (yet); null once it is taken or given up. */
export type TypingWatch = (field: string, trouble: string | null) => void;

const TypingContext = createContext<TypingWatch>(() => undefined);
export const TypingProvider = TypingContext.Provider;

export interface Typing {
  /** What the field is made with. Escape gives up what cannot be taken: the field shows what stands. */
  readonly input: InputHTMLAttributes<HTMLInputElement>;
  /** What is wrong with the text, in words, once the person has finished it: by Enter, or by leaving the field. */
  readonly error: string | undefined;
}

/**
 * A number as it is typed: taken with every key that leaves a number that can be, kept in the field with what is wrong
 * while it cannot, and shown afresh when it is changed from elsewhere.
 * @param troubleOf what is wrong with a number (NaN for an empty field), in words
 */
export function useTypedNumber(
  value: number,
  troubleOf: (typed: number) => string | null,
  onChange: (value: number) => void,
): Typing {
  const field = useId();
  const watch = useContext(TypingContext);
  // The text belongs to the value it was typed over, or was taken as: another value is another's doing.
  const [typed, setTyped] = useState<{ readonly text: string; readonly over: number } | null>(null);
  const [finished, setFinished] = useState(false);
  const own = typed !== null && typed.over === value ? typed : null;
  const text = own?.text ?? String(value);
  const trouble = own === null ? null : troubleOf(numberIn(own.text));
  useEffect(() => {
    watch(field, trouble);
    return () => watch(field, null);
  }, [watch, field, trouble]);
  const type = (next: string) => {
    const number = numberIn(next);
    const good = troubleOf(number) === null;
    setTyped({ text: next, over: good ? number : value });
    if (good && number !== value) onChange(number);
  };
  return {
    input: {
      inputMode: 'numeric',
      autoComplete: 'off',
      value: text,
      onChange: (event) => type(event.target.value),
      onFocus: () => setFinished(false),
      onBlur: () => setFinished(true),
      onKeyDown: ({ key }) => {
        if (key === 'Enter') setFinished(true);
        if (key === 'Escape') setTyped(null);
      },
    },
    error: (finished && trouble) || undefined,
  };
}

/** A number as it is typed, with a point or a comma; NaN where nothing is. */
export const numberIn = (text: string): number =>
  text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.'));
