/**
 * Makes the clock of a page, a worker, a test or a process run so many milliseconds off: `new Date()`, `Date()` and
 * `Date.now()` follow, times that are given keep their meaning, and time goes on at its own pace. It is sent to browsers
 * as text, so it uses nothing from outside itself.
 * @param {{ Date: DateConstructor }} scope whose Date is replaced, usually `globalThis`
 * @param {number} shiftMs how far ahead of the machine the clock runs, milliseconds; negative is behind
 */
export function shiftClock(scope, shiftMs) {
  const Own = scope.Date;
  const own = Own.now.bind(Own);
  const now = () => own() + shiftMs;
  Own.now = now;
  scope.Date = new Proxy(Own, {
    construct: (target, args, newTarget) =>
      Reflect.construct(target, args.length === 0 ? [now()] : args, newTarget),
    apply: () => new Own(now()).toString(),
  });
}
