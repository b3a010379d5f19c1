/**
 * What makes documents, in a thread of its own, as plain text: a bundler would look for a file of it. It is given the faces
 * and then one document after the other, and gives back bytes; nothing is fetched, and no file is read but the faces.
 */
export const pdfThread = `
const { parentPort, workerData: { folder, fonts } } = require('node:worker_threads');
const pdfmake = require('pdfmake');
pdfmake.setFonts(fonts);
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((file) => file.startsWith(folder));
const layoutOf = ({ h, h1 = h, v, v1 = v, pad: [left, top, right, bottom] }) => ({
  hLineWidth: (at) => (at === 1 ? h1 : h),
  vLineWidth: (at) => (at === 1 ? v1 : v),
  paddingLeft: () => left,
  paddingTop: () => top,
  paddingRight: () => right,
  paddingBottom: () => bottom,
});
const withFunctions = (value) => {
  if (Array.isArray(value)) return value.map(withFunctions);
  if (typeof value !== 'object' || value === null) return value;
  if (value.ruled) return layoutOf(value.ruled);
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, withFunctions(one)]));
};
const footerOf = ({ footLine: { text, ...style } }) => (page, pages) => ({
  ...style,
  text: text.replace('{page}', page).replace('{pages}', pages),
});
parentPort.on('message', async ({ id, document: { footer, ...rest } }) => {
  try {
    const made = { ...withFunctions(rest), ...(footer && { footer: footerOf(footer) }) };
    parentPort.postMessage({ id, bytes: await pdfmake.createPdf(made).getBuffer() });
  } catch (error) {
    parentPort.postMessage({ id, fault: String(error?.stack ?? error) });
  }
});
`;
