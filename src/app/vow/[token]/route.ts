import { headers } from 'next/headers';
import { throughLink } from '@/server/access/door';
import { homePage } from '@/server/views/home';
import { closedPage, vowPage } from '@/server/vows/file-page';
import { vowLinkTrouble } from '@/server/vows/links';

/**
 * A child’s vows for their family: one first name and what is promised, and nothing else of the book. A page of its own,
 * as light as a phone’s evening connection wants it. No name of a child stands in its title.
 */
export async function GET(_: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params;
  const nonce = (await headers()).get('x-nonce') ?? '';
  return throughLink(token, async (context) => {
    const page = await homePage(context, token);
    const closed = 'kind' in page;
    return new Response(
      closed ? closedPage(vowLinkTrouble(page)) : await vowPage(page, `/api/vow/${token}/touches`, nonce),
      {
        status: closed ? 410 : 200,
        headers: {
          'content-type': 'text/html; charset=utf-8',
          'cache-control': 'private, no-store',
          'x-robots-tag': 'noindex, nofollow',
        },
      },
    );
  });
}
