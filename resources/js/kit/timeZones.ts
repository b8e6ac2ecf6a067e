/** Time zones by the names all computers know them by, that of this device on top. */
export function timeZones(device: string): { value: string; text: string }[] {
  const all = new Set([device, ...Intl.supportedValuesOf('timeZone')]);
  return [...all].map((value) => ({ value, text: value.replaceAll('_', ' ') }));
}
