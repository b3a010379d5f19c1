import type { Page } from '../../testing/browser/page';
import { nextBlock } from '../../testing/browser/session';
import type { DemoServer } from './demo-server';

/** Opens the run screen of a planned session of the demo and turns to a block that is counted in a row. */
export async function openRowBlock(page: Page, { client, url }: DemoServer): Promise<void> {
  const { rows } = await client.execute(
    `select b.session_id as id from block b join session s on s.id = b.session_id
     where s.state = 'planned' and b.dose like '%"kind":"row"%' order by s.day limit 1`,
  );
  await page.driver.get(`${url}/sessions/${rows[0]!.id as string}/run`);
  await page.sees('Start block');
  while (!/ in a row, \d+ s at most/.test(await page.text())) await nextBlock(page);
}
