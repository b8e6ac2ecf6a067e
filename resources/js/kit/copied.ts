/** Puts a text where it can be pasted from. False where the browser allows that to nobody, as over a plain address it does not. */
export async function copied(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}
