const names: Readonly<Record<string, string>> = { 'blind-hem': 'Blind hem' };
const variants: Readonly<Record<string, string>> = {
  flat: 'flat edge',
  enclosed: 'edge turned in',
};

/** A finish and its variant as people call them. */
export function finishName(finish: string, variant?: string): string {
  const name = names[finish] ?? finish;
  return variant ? `${name}, ${variants[variant] ?? variant}` : name;
}
