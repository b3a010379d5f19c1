/**
 * A computed number opened up: what a coach sees when they press it.
 * Every figure on a screen is made by a core function that can also say how it got there.
 */
export interface Explanation {
  /** What the number is, as a heading: "Touches to expect". */
  readonly title: string;
  /** The number with its unit, as shown: "42 touches". */
  readonly value: string;
  /** The formula in words. */
  readonly formula: string;
  readonly inputs: readonly ExplainedInput[];
  /** Where the formula comes from; "ours" or "common practice" where nothing is published. */
  readonly source: string;
}

export interface ExplainedInput {
  readonly label: string;
  readonly value: string;
  /** Where the input comes from: "set on this block", "Mira's last 212 touches". */
  readonly from?: string;
}
