/** Standard gravity, m/s² (CGPM 1901). */
export const g = 9.80665;
