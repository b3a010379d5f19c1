export default async ({ app, driver, page, shot, first }: any) => {
  await driver.get(`${app.url}/sessions/${first}/plan`);
  await page.sees('Breathless');
  await shot('plan');
  await page.press('Fit to the booking');
  await page.sees('booked.');
  await shot('fit');
  await page.press('Close');
  await page.press('More');
  await page.sees('Keep as a pattern');
  await shot('menu');
  await page.press('Close');
  await page.press('Notes •');
  await shot('notes');
  const r = await fetch(`${app.url}/sessions/${first}/paper.pdf`);
  console.log(r.status, r.headers.get('content-disposition'));
  (await import('node:fs')).writeFileSync('/tmp/look/p.pdf', Buffer.from(await r.arrayBuffer()));
};
