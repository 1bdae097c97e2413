/** Boxes that are one field together. */
import { beforeAll, expect, it } from 'vitest';
import { inputsOf, judgeGroups, sayValidity, setInputs, startGroups } from '../src/groups.ts';
import { enter, shown } from './page.ts';

const group =
  '<div class="field"><div class="part-options" data-needs-one><input class="part-check" type="checkbox"><input class="part-check" type="checkbox"></div></div>';
const said = (field: HTMLElement) => inputsOf(field).map(({ validationMessage }) => validationMessage);

beforeAll(() => startGroups(document));

it('of which one has to be ticked say so until one is', () => {
  const field = shown(group);
  judgeGroups(field);
  expect(said(field)).toEqual(['Choose at least one.', 'Choose at least one.']);
  const [, second] = inputsOf(field);
  enter(second!, true);
  expect(said(field)).toEqual(['', '']);
  enter(second!, false);
  expect(said(field)).toEqual(['Choose at least one.', 'Choose at least one.']);
});

it('are required, or not, as one', () => {
  const field = shown(group);
  let told = 0;
  field.addEventListener('hovrin-valid', () => told++);
  setInputs(field, 'required', false);
  expect(said(field)).toEqual(['', '']);
  setInputs(field, 'required', true);
  expect(said(field)[0]).toBe('Choose at least one.');
  // No single box is required by itself.
  expect(inputsOf(field).some(({ required }) => required)).toBe(false);
  setInputs(field, 'disabled', true);
  expect(inputsOf(field).every(({ disabled }) => disabled)).toBe(true);
  expect(told).toBe(3);
});

it('say what a check of the field itself found before they say that one is missing', () => {
  const field = shown(group);
  sayValidity(field, 'Not these');
  expect(said(field)[0]).toBe('Not these');
  sayValidity(field, '');
  expect(said(field)[0]).toBe('Choose at least one.');
});

it('a field of one input is set and judged by itself', () => {
  const field = shown('<div class="field"><input class="part-input"></div>');
  setInputs(field, 'required', true);
  expect(inputsOf(field)[0]!.required).toBe(true);
  sayValidity(field, 'No');
  expect(said(field)).toEqual(['No']);
});
