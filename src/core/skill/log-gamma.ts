const [g, coefficients] = [
  7,
  [
    0.9999999999998099, 676.5203681218851, -1259.1392167224028, 771.3234287776531, -176.6150291621406,
    12.507343278686905, -0.13857109526572012, 9.984369578019572e-6, 1.5056327351493116e-7,
  ],
] as const;

/**
 * The logarithm of the gamma function, to about 1e-14.
 * @param x > 0
 * Source: C. Lanczos 1964, with the coefficients of g = 7, n = 9 in common use.
 */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const z = x - 1;
  let sum: number = coefficients[0];
  for (let i = 1; i < coefficients.length; i++) sum += coefficients[i]! / (z + i);
  const t = z + g + 0.5;
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}
