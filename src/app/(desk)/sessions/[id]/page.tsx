import { redirect } from 'next/navigation';

/** A session's own address leads to its plan. */
export default async function SessionPage({ params }: { params: Promise<{ id: string }> }) {
  redirect(`/sessions/${encodeURIComponent((await params).id)}/plan`);
}
