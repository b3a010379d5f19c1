import type { WebDriver } from 'selenium-webdriver';

/** Where fingers press, a control is at least so large in both directions, CSS pixels; with a mouse WCAG 2.2 asks for 24. */
export const forFingers = 44;
export const forMouse = 24;

/**
 * What does not fit a screen: sideways scrolling, text cut off by its box, and controls too small to press. A small mark
 * counts as large as what around it presses it. Links within a sentence are as the sentence is.
 */
export async function misfits(driver: WebDriver, target: number): Promise<string[]> {
  return driver.executeScript(
    `
    const target = arguments[0];
    const out = [];
    // A phone that is too narrow for a page shows more of it, smaller: innerWidth grows, the page's own width does not.
    const { scrollWidth: wide, clientWidth: room, scrollHeight: long } = document.documentElement;
    if (wide > room) {
      out.push('scrolls sideways to ' + wide);
      for (const one of document.querySelectorAll('main *, header *'))
        if (one.getBoundingClientRect().right > room + 1 && !one.closest('[class*=overflow-x-auto]')) {
          out.push('  too wide: ' + one.tagName + ' ' + one.className.toString().slice(0, 60) + ' ' + one.textContent.trim().slice(0, 40));
          break;
        }
    }
    const inPanel = (one) => {
      for (let up = one.parentElement; up && up !== document.body; up = up.parentElement)
        if (getComputedStyle(up).overflowY !== 'visible') return true;
      return false;
    };
    let last = innerHeight;
    for (const one of document.querySelectorAll('body *')) {
      const { width, height, bottom } = one.getBoundingClientRect();
      if (width < 2 || height < 2 || bottom + scrollY <= last || !one.checkVisibility() || inPanel(one)) continue;
      if (getComputedStyle(one).position !== 'fixed') last = bottom + scrollY;
    }
    // So much may stand below the last box: the page's own padding.
    if (long > last + 80) out.push('scrolls to ' + long + ', past its last box at ' + Math.round(last));
    const seen = (one) => {
      const { width, height } = one.getBoundingClientRect();
      if (width < 2 || height < 2) return false;
      return one.checkVisibility({ visibilityProperty: true, opacityProperty: true });
    };
    const words = (one) => (one.getAttribute('aria-label') ?? one.textContent ?? one.name ?? '').trim().replace(/\\s+/g, ' ').slice(0, 50);
    for (const one of document.querySelectorAll('body *')) {
      if (!seen(one) || one.closest('svg')) continue;
      const style = getComputedStyle(one);
      const own = [...one.childNodes].some((node) => node.nodeType === 3 && node.textContent.trim() !== '');
      const clips = style.overflowX === 'hidden' || style.overflowX === 'clip';
      if (own && clips && (one.scrollWidth > one.clientWidth + 1 || (style.webkitLineClamp !== 'none' && one.scrollHeight > one.clientHeight + 2)))
        out.push('cut text: ' + words(one));
      if (one.matches('input:not([type=range], [type=checkbox], [type=radio])') && one.scrollWidth > one.clientWidth + 1)
        out.push('cut value: ' + (one.labels?.[0]?.textContent ?? one.getAttribute('aria-label')) + ' ' + one.value);
    }
    const controls = 'button, a[href], input:not([type=hidden]), select, textarea, summary, [role=button], [role=tab]';
    for (const one of document.querySelectorAll(controls)) {
      // Pieces of the tape are to scale, however short; the list of blocks beside it does the same.
      if (!seen(one) || one.disabled || one.closest('[inert]') || one.matches('[data-block]')) continue;
      const inSentence = one.matches('a, button') && getComputedStyle(one).display.startsWith('inline') &&
        [...(one.parentElement?.childNodes ?? [])].some((node) => node.nodeType === 3 && node.textContent.trim().length > 2);
      if (inSentence) continue;
      one.scrollIntoView({ block: 'center', inline: 'nearest', behavior: 'instant' });
      const { left, right, top, bottom, width, height } = one.getBoundingClientRect();
      const [x, y, reach] = [(left + right) / 2, (top + bottom) / 2, target / 2 - 1];
      const presses = (px, py) => {
        const there = document.elementFromPoint(Math.min(innerWidth - 1, Math.max(0, px)), Math.min(innerHeight - 1, Math.max(0, py)));
        if (!there) return false;
        return one === there || one.contains(there) || [...(one.labels ?? [])].some((label) => label.contains(there));
      };
      const wideEnough = width >= target - 0.5 || (presses(x - reach, y) && presses(x + reach, y)) || (presses(left + 1, y) && presses(left + target - 2, y)) || (presses(right - 1, y) && presses(right - target + 2, y));
      const highEnough = height >= target - 0.5 || (presses(x, y - reach) && presses(x, y + reach));
      if (!wideEnough || !highEnough)
        out.push('small ' + Math.round(width) + ' x ' + Math.round(height) + ': ' + one.tagName.toLowerCase() + ' ' + words(one));
    }
    return [...new Set(out)];
  `,
    target,
  );
}
