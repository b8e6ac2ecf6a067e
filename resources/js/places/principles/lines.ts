/** The lines of a text, without blank ones. */
export const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');

/** Lines of two texts each, or the number of the first line that is not. */
export function pairsOf(text: string, by: string): [string, string][] | number {
  const pairs: [string, string][] = [];
  for (const [at, line] of linesOf(text).entries()) {
    const cut = line.indexOf(by);
    const [first, second] = cut < 0 ? ['', ''] : [line.slice(0, cut).trim(), line.slice(cut + by.length).trim()];
    if (first === '' || second === '') return at + 1;
    pairs.push([first, second]);
  }
  return pairs;
}
