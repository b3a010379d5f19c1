import type { Metadata } from 'next';
import { SignIn } from '@/features/access/sign-in';

export const metadata: Metadata = { title: 'Sign in' };

/** It holds nothing of the book: whoever stands at the door sees a door. */
export default async function SignInPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { to } = await searchParams;
  return <SignIn to={typeof to === 'string' ? to : '/'} />;
}
