import { ButtonLink } from '@/ui/button-link';

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
      <h1 className="text-3xl">Nothing stands at this address</h1>
      <p>
        The session, player or page it names is not on record. It may have been typed wrongly, or belong to
        another computer.
      </p>
      <ButtonLink href="/" look="now">
        Go to Today
      </ButtonLink>
    </main>
  );
}
