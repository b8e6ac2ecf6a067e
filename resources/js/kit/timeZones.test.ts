import { expect, test } from 'vitest';
import { timeZones } from './timeZones';

test('the device’s own zone is on top, once, and every zone can be read', () => {
  const zones = timeZones('America/Argentina/Buenos_Aires');
  expect(zones[0]).toEqual({ value: 'America/Argentina/Buenos_Aires', text: 'America/Argentina/Buenos Aires' });
  expect(zones.filter((one) => one.value === zones[0]?.value)).toHaveLength(1);
  expect(zones.length).toBeGreaterThan(300);
  expect(zones.map((one) => one.value)).toContain('Europe/Lisbon');
});

test('a device in a zone that the list does not know has it all the same', () => {
  expect(timeZones('Etc/Elsewhere')[0]?.value).toBe('Etc/Elsewhere');
});
