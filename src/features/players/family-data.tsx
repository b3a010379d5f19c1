'use client';

import { FileDown, ScrollText, UserX } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import { clearDevice } from '@/court/clear-device';
import { sweepStills } from '@/court/stills';
import { eraseForGoodAction } from '@/server/actions';
import { ask, problemsText } from '@/ui/ask';
import { Button, buttonClass } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { Dialog } from '@/ui/dialog';
import { Field } from '@/ui/field';
import { Sheet } from '@/ui/page-head';

type Erased = Extract<Awaited<ReturnType<typeof eraseForGoodAction>>, { ok: true }>['value'];

/** What a family may ask for: everything about their child, and that it is removed for good. */
export function FamilyData({ id, name }: { readonly id: string; readonly name: string }) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet className="p-3 print:hidden" aria-label="For the family">
      <h2 className="text-lg">For the family</h2>
      <div className="mt-1 flex flex-wrap gap-2">
        <ButtonLink href={`/players/${id}/everything`}>
          <ScrollText aria-hidden size={18} /> Everything about {name}
        </ButtonLink>
        <a className={buttonClass()} href={`/api/book?part=child&id=${id}`} download>
          <FileDown aria-hidden size={18} /> For another Vow Step
        </a>
        <a className={buttonClass()} href={`/players/${id}/everything.json`} download>
          <FileDown aria-hidden size={18} /> As a file
        </a>
        <Button look="stop" onClick={() => setOpen(true)}>
          <UserX aria-hidden size={18} /> Remove for good
        </Button>
      </div>
      <Dialog open={open} onOpenChange={setOpen} title={`Remove ${name} for good?`}>
        <Erase id={id} name={name} />
      </Dialog>
    </Sheet>
  );
}

function Erase({ id, name }: { readonly id: string; readonly name: string }) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);
  const [gone, setGone] = useState<Erased | null>(null);
  const erase = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    const outcome = await ask(() => eraseForGoodAction(id, { name: typed }));
    setBusy(false);
    setProblem(outcome.ok ? undefined : problemsText(outcome));
    if (!outcome.ok) return;
    setGone(outcome.value);
    // Stills of the child are on devices, not in the book: here they go now, elsewhere when a player is opened next.
    void clearDevice();
    void sweepStills((one) => Promise.resolve(one !== id)).catch(() => undefined);
  };
  if (gone)
    return (
      <div className="space-y-3" role="status">
        <p className="font-semibold">{name} is removed for good.</p>
        {gone.copies.length > 0 && (
          <p className="text-care">
            These older copies of the book still hold the child: {gone.copies.join(', ')}. Delete them, or
            make a new copy and then delete them.
          </p>
        )}
        {gone.texts.length > 0 && (
          <div className="text-care">
            <p>These texts may still name the child; look at them:</p>
            <ul className="list-disc pl-5">
              {gone.texts.map((text, index) => (
                <li key={index}>{text}</li>
              ))}
            </ul>
          </div>
        )}
        <div className="flex justify-end">
          <Button
            look="now"
            onClick={() => {
              router.push('/squad');
              router.refresh();
            }}
          >
            To the squad
          </Button>
        </div>
      </div>
    );
  return (
    <form noValidate onSubmit={(event) => void erase(event)} className="space-y-3">
      <p>
        <strong>Gone:</strong> name, year of birth, measures, hand and ball, care note, what they work on,
        notes about them, decisions, their place on every ladder, links that open them, and their place in
        sessions where nothing was counted.
      </p>
      <p>
        <strong>Kept, under no name:</strong> what was counted in sessions that were held, so that the squad’s
        sums stay true.
      </p>
      <p className="font-semibold text-stop">
        This cannot be undone. To leave a way back, use “Remove from the squad” instead.
      </p>
      <Field label={`Type ${name} to go on`} error={problem}>
        <input value={typed} onChange={(event) => setTyped(event.target.value)} autoComplete="off" />
      </Field>
      <div className="flex justify-end">
        <Button type="submit" look="stop" disabled={busy}>
          Remove for good
        </Button>
      </div>
    </form>
  );
}
