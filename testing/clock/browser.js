import WebSocket from 'ws';
import { shiftClock } from './shift.js';

/**
 * Only pages: workers ask for no time, and the service worker's is its own business. Nothing is made to wait for us: a worker
 * that is held at its start can hold a page for minutes.
 */
const watch = {
  autoAttach: true,
  waitForDebuggerOnStart: false,
  flatten: true,
  filter: [{ type: 'page', exclude: false }, { exclude: true }],
};

/**
 * Makes the clocks of a browser's pages run off by so much. A browser's own clock cannot be set.
 * @param {string} debuggerAddress host and port of its debugger
 * @param {number} shiftMs see {@link shiftClock}
 * @returns {Promise<(windowHandle: string) => Promise<void>>} waits until what a tab loads next will run by that clock
 */
export async function shiftBrowser(debuggerAddress, shiftMs) {
  const answer = await fetch(`http://${debuggerAddress}/json/version`);
  const { webSocketDebuggerUrl } = await answer.json();
  const socket = new WebSocket(webSocketDebuggerUrl, { perMessageDeflate: false });
  const source = `(${shiftClock})(globalThis, ${shiftMs})`;
  let sent = 0;
  const answered = new Map();
  const send = (method, params, sessionId) =>
    new Promise((resolve, reject) => {
      answered.set(++sent, { resolve, reject });
      socket.send(JSON.stringify({ id: sent, method, params, sessionId }));
    });
  /** By tab, as the driver names it: whether its clock is set. */
  const set = new Map();
  const attached = ({ sessionId, targetInfo }) =>
    set.set(
      targetInfo.targetId,
      Promise.all([
        send('Page.enable', {}, sessionId),
        send('Page.addScriptToEvaluateOnNewDocument', { source }, sessionId),
      ]),
    );
  await new Promise((resolve, reject) => {
    socket.on('open', resolve);
    socket.on('error', reject);
  });
  socket.on('message', (text) => {
    const { id, error, method, params } = JSON.parse(text);
    if (method === 'Target.attachedToTarget') attached(params);
    const waiting = answered.get(id);
    answered.delete(id);
    if (error) waiting?.reject(new Error(error.message));
    else waiting?.resolve();
  });
  await send('Target.setAutoAttach', watch);
  return async (windowHandle) => {
    while (!set.has(windowHandle)) await new Promise((later) => setTimeout(later, 5));
    await set.get(windowHandle);
  };
}
