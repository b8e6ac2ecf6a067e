import { expect, test } from 'vitest';
import './index';
import { say, sentence } from './say';

const of = (code: string, told: Record<string, unknown> = {}) => say({ code, with: told });

test('a message is said by its code, with singular and plural', () => {
  expect(of('finding.silent.field', { count: 1, field: 'turn', for: 'load' })).toContain('1 entry does not say');
  expect(of('finding.silent.field', { count: 2, field: 'turn', for: 'load' })).toContain('2 entries do not say');
});

test('what it is said with may be messages, lists and runs of numbers', () => {
  expect(of('mend.breathe', { breath: { code: 'breath.in', with: {} }, phase: 2 })).toBe('breathe in in phase 2');
  expect(of('group.learnt_by', { groups: [] })).toBeTruthy();
  expect(of('form.learnt_by', { groups: ['A', 'B', 'C'] })).toBe('This form is learnt by A, B and C, so it stays.');
  expect(of('form.learnt_by', { groups: [1, 2, 3, 7] })).toContain('1 to 3, 7');
  expect(of('mend.number', { number: null })).toBe('number it –');
});

test('what was typed is shown as it was typed, whatever it looks like', () => {
  expect(of('malformed.number', { text: '{{text}} $t(app.name) a:b.c' })).toBe('"{{text}} $t(app.name) a:b.c" is not a number');
});

test('a sentence of its own has a capital and an end, once', () => {
  expect(sentence({ code: 'missing.text', with: {} })).toBe('Must not be blank.');
  expect(sentence({ code: 'http.gone', with: {} })).toBe('There is nothing here, or it belongs to another school.');
});

test('a code without words is shown as it is, rather than nothing', () => {
  expect(of('no.such.code')).toBe('no.such.code');
});
