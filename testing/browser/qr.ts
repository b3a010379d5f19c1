import jsQR from 'jsqr';
import type { WebDriver } from 'selenium-webdriver';

/** What the QR code on a page says, read from its picture as a camera would; null where it cannot be read. */
export async function qrOnPage(driver: WebDriver): Promise<string | null> {
  const [width, pixels] = await driver.executeAsyncScript<[number, number[]]>(`
    const done = arguments[0];
    const svg = document.querySelector('svg[aria-label^="Link to count"]').cloneNode(true);
    svg.setAttribute('width', 400);
    svg.setAttribute('height', 400);
    const image = new Image();
    image.onload = () => {
      const canvas = Object.assign(document.createElement('canvas'), { width: 400, height: 400 });
      const on = canvas.getContext('2d');
      on.fillStyle = 'white';
      on.fillRect(0, 0, 400, 400);
      on.drawImage(image, 0, 0);
      done([400, [...on.getImageData(0, 0, 400, 400).data]]);
    };
    image.src = 'data:image/svg+xml,' + encodeURIComponent(new XMLSerializer().serializeToString(svg));`);
  return jsQR(Uint8ClampedArray.from(pixels), width, width)?.data ?? null;
}
