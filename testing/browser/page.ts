import { By, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver';

/** How long a condition is waited for. A slow machine is no fault: what holds is seen at once, however long this is. */
export const patienceMs = 45_000;

/** What a person does on a page, by the words they see. Every step waits for its condition, never for a time. */
export class Page {
  constructor(readonly driver: WebDriver) {}

  find(css: string): Promise<WebElement> {
    return this.driver.wait(
      until.elementLocated(By.css(css)),
      patienceMs,
      `Nothing matches ${css}`,
    ) as unknown as Promise<WebElement>;
  }

  /** A button, link or tab by the words on it or its accessible name: in the topmost sheet if one is open, else on the page. */
  async button(words: string): Promise<WebElement> {
    const own = `*[self::button or self::a or self::summary][contains(normalize-space(.), "${words}") or contains(@aria-label, "${words}")]`;
    const find = async () => {
      for (const xpath of [`(//*[@role="dialog"])[last()]//${own}`, `//${own}`]) {
        const [found] = await this.driver.findElements(By.xpath(xpath));
        if (found) return found;
      }
      return null;
    };
    return (await this.driver.wait(find, patienceMs, `No button says ${words}`))!;
  }

  async press(words: string): Promise<void> {
    await this.settled(async () => {
      const button = await this.button(words);
      await this.driver.wait(until.elementIsEnabled(button), patienceMs, `${words} stays disabled`);
      await this.click(button);
    });
  }

  /** Books what a form asks for and opens its plan; where the hour is taken, that is read and booked all the same. */
  async openPlan(): Promise<void> {
    await this.press('Open the plan');
    const opened = `location.pathname.endsWith('/plan')`;
    // Once it is booked the button stays disabled, so a press more can do no harm.
    const anyway = `[...document.querySelectorAll('button:enabled')].find((one) => one.textContent === 'Open the plan anyway')`;
    const press = `const opened = ${opened}; if (!opened) ${anyway}?.click(); return opened;`;
    await this.driver.wait(() => this.driver.executeScript(press), patienceMs, 'No plan opens');
  }

  /**
   * Clicks what can be clicked. The driver scrolls only as far as it must, so what it clicks may end up under a notice at
   * the edge of the screen: a person would scroll on, instead of waiting for the notice to go.
   */
  private async click(element: WebElement): Promise<void> {
    try {
      await element.click();
    } catch (error) {
      if ((error as Error).name !== 'ElementClickInterceptedError') throw error;
      await this.driver.executeScript(
        `arguments[0].scrollIntoView({ block: 'center', behavior: 'instant' })`,
        element,
      );
      await element.click();
    }
  }

  /** Leaves the page for good: its tab is closed, and an empty one is there instead. */
  async closeTab(): Promise<void> {
    const left = await this.driver.getWindowHandle();
    await this.driver.switchTo().newWindow('tab');
    const fresh = await this.driver.getWindowHandle();
    await this.driver.switchTo().window(left);
    await this.driver.close();
    await this.driver.switchTo().window(fresh);
  }

  /**
   * Puts a finger on a counting zone. Zones of a target lie on one another as on the floor, so a click into the middle
   * of one would land on another.
   */
  async tap(words: string): Promise<void> {
    await this.settled(async () => {
      await this.driver.executeScript(
        `arguments[0].dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, button: 0 }))`,
        await this.button(words),
      );
    });
  }

  /** Ticks a box by its label or accessible name. */
  async tick(words: string): Promise<void> {
    await this.settled(async () => {
      const xpath = `//label[contains(normalize-space(.), "${words}")]//input | //input[@type="checkbox"][@aria-label="${words}"]`;
      const box = await this.driver.wait(
        until.elementLocated(By.xpath(xpath)),
        patienceMs,
        `No box says ${words}`,
      );
      await this.alive(box);
      await this.click(box);
    });
  }

  /** Chooses an option of a list by its words. */
  async choose(label: string, option: string): Promise<void> {
    await this.settled(async () => {
      const select = await this.field(label);
      await this.alive(select);
      await select.findElement(By.xpath(`.//option[contains(normalize-space(.), "${option}")]`)).click();
    });
  }

  /** Waits until a field is alive: one that has only been drawn forgets what is chosen in it. */
  private alive(field: WebElement): Promise<unknown> {
    const known = `return Object.keys(arguments[0]).some((key) => key.startsWith('__react'))`;
    return this.driver.wait(
      () => this.driver.executeScript<boolean>(known, field),
      patienceMs,
      'The page never comes alive.',
    );
  }

  /** The input a label belongs to, or that has it as its own name. */
  async field(label: string): Promise<WebElement> {
    const found = await this.driver.wait(
      // Where a sheet is open, the field is on it.
      until.elementLocated(
        By.xpath(
          `//*[@role="dialog"]//label[starts-with(normalize-space(.), "${label}")] | //label[starts-with(normalize-space(.), "${label}")][not(//*[@role="dialog"])] | //input[@aria-label="${label}"]`,
        ),
      ),
      patienceMs,
      `No field is called ${label}`,
    );
    if ((await found.getTagName()) === 'input') return found;
    const id = await found.getAttribute('for');
    return id ? this.driver.findElement(By.id(id)) : found.findElement(By.css('input, select'));
  }

  async type(label: string, text: string): Promise<void> {
    const input = await this.field(label);
    // In one go: a page that comes alive in between would let go of what was selected.
    await input.sendKeys(Key.chord(Key.CONTROL, 'a'), text);
  }

  /** Types a date, which browsers take apart by locale. */
  async setValue(label: string, value: string): Promise<void> {
    await this.driver.executeScript(
      `const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
       set.call(arguments[0], arguments[1]);
       arguments[0].dispatchEvent(new Event('input', { bubbles: true }));`,
      await this.field(label),
      value,
    );
  }

  /** What is read on the page. The browser's own reading of it: the driver's takes many times as long. */
  text(): Promise<string> {
    return this.driver.executeScript<string>(
      `return document.body.innerText.replace(/[\\t\\u00a0 ]+/g, ' ').replace(/ *\\n[ \\n]*/g, '\\n').trim()`,
    );
  }

  async sees(words: string | RegExp): Promise<void> {
    let last = '';
    await this.driver
      .wait(async () => {
        last = await this.text().catch(() => '');
        return typeof words === 'string' ? last.includes(words) : words.test(last);
      }, patienceMs)
      .catch(() => {
        throw new Error(`The page never says ${words}. It says:\n${last}`);
      });
  }

  /** Waits until what a script returns is what is wanted; longer where a machine has to work something out. */
  async becomes<T>(script: string, wanted: T, forMs = patienceMs): Promise<void> {
    let last: unknown;
    await this.driver
      .wait(async () => {
        last = await this.driver.executeScript(`return (${script})`).catch((error: Error) => error.message);
        return JSON.stringify(last) === JSON.stringify(wanted);
      }, forMs)
      .catch(() => {
        throw new Error(`${script} is ${JSON.stringify(last)}, not ${JSON.stringify(wanted)}.`);
      });
  }

  keys(...keys: string[]): Promise<void> {
    return this.driver
      .actions()
      .sendKeys(...keys)
      .perform();
  }

  /** Tries again when the page was drawn again under the finger. */
  private async settled(work: () => Promise<void>): Promise<void> {
    const end = Date.now() + patienceMs;
    for (;;) {
      try {
        return await work();
      } catch (error) {
        const name = (error as Error).name;
        if (
          Date.now() > end ||
          ![
            'StaleElementReferenceError',
            'ElementClickInterceptedError',
            'ElementNotInteractableError',
          ].includes(name)
        )
          throw error;
        await this.driver.executeAsyncScript(
          'requestAnimationFrame(() => requestAnimationFrame(arguments[0]))',
        );
      }
    }
  }
}
