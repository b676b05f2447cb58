// The controls of a visit: what was entered in one, and how it shows that its entry waits or was refused.

import { ulid } from 'ulid';
import { looked } from './clock.js';
import * as page from './page.js';

const controls = () => [...document.querySelectorAll('form[data-entry]')];

/** The part of the circuit that a form is about; empty for the circuit itself. */
const partOf = (form) => String(new FormData(form).getAll('part').at(-1) ?? '');

/** What a form is about, kind, key and part: the same for each of its entries, on whatever page it stands. */
export function about(form) {
  const kind = form.elements.namedItem('kind')?.value;
  return kind === undefined
    ? new URL(form.action).pathname
    : `${kind} ${form.elements.namedItem('key').value} ${partOf(form)}`.trim();
}

/** The quick line says ever new things: none of them is an answer to the one before. */
export const LINE = 'line line';

/** Whether a move or a step of a card: a second tap would be done twice. */
export const isDeed = (form) => ['move', 'card'].includes(form.elements.namedItem('kind')?.value);

export const formAbout = (control) => controls().find((form) => about(form) === control) ?? null;

export const inputOf = (form) => form.querySelector('input[name="value"]:not([type="hidden"]), textarea[name="value"]');

const isOn = (button) => button.getAttribute('aria-pressed') === 'true';

/** A tap says its word; on the one that is chosen already it takes the word back. */
const valueOf = (button) => (isOn(button) ? button.dataset.off : button.dataset.on) ?? button.value;

/** In words, for the list of what waits. */
function said(form, button, value) {
  const name = (form.dataset.says ?? form.querySelector('legend, label')?.textContent ?? '').trim();
  const words = button?.dataset.on === undefined ? value : button.textContent.trim() + (isOn(button) ? ': no' : '');
  const unit = form.querySelector('.cell-value i')?.textContent ?? '';
  return [name, words, /[a-z°%]/i.test(words) ? '' : unit].filter((one) => one !== '').join(' ');
}

export function entryOf(form, button) {
  const fields = new FormData(form);
  if (button?.name) fields.set(button.name, valueOf(button));
  fields.delete('_token');
  fields.delete('id');
  const value = String(fields.get('value') ?? fields.get('what') ?? '');
  looked(Date.now());
  return {
    id: ulid(),
    made: new Date().toISOString(),
    user: page.user(),
    visit: page.visit(),
    url: new URL(form.action).pathname,
    page: window.location.pathname,
    control: about(form),
    said: said(form, button, value),
    fields: [...fields.entries()],
  };
}

/** Shows a tap at once, before it is confirmed. */
export function press(button) {
  if (button?.dataset.on === undefined) return;
  const on = isOn(button);
  button.closest('fieldset')?.querySelectorAll('.tap').forEach((one) => one.setAttribute('aria-pressed', 'false'));
  button.setAttribute('aria-pressed', String(!on));
}

function pressAs(form, value) {
  const taps = [...form.querySelectorAll('[data-on]')];
  const known = taps.some((one) => one.dataset.on === value || one.dataset.off === value);
  if (known) taps.forEach((one) => one.setAttribute('aria-pressed', String(one.dataset.on === value)));
}

/** Puts a control back to how the server drew it. */
export function restore(form) {
  const input = inputOf(form);
  if (input !== null) input.value = input.defaultValue;
  form.querySelectorAll('[data-was]').forEach((one) => one.setAttribute('aria-pressed', one.dataset.was));
}

function say(form, why) {
  const input = inputOf(form);
  let line = form.querySelector('.error[data-why]');
  if (why === null) {
    line?.remove();
    input?.removeAttribute('aria-invalid');
    return;
  }
  if (line === null) {
    line = document.createElement('p');
    line.className = 'error';
    line.dataset.why = '';
    line.setAttribute('role', 'alert');
    form.append(line);
  }
  line.textContent = why;
  input?.setAttribute('aria-invalid', 'true');
}

/**
 * Puts what waits, or was refused, into its control, unless something is being typed there.
 *
 * @param entries of this page's visit, in order
 */
export function paint(entries, isTyped) {
  for (const form of controls()) {
    const own = about(form) === LINE ? [] : entries.filter((one) => one.control === about(form));
    const last = own.at(-1) ?? null;
    form.classList.toggle('waits', last?.state === 'waiting');
    form.classList.toggle('has-error', last?.state === 'refused');
    say(form, last?.state === 'refused' ? last.why : null);
    if (last === null || isTyped(form)) continue;
    const value = new Map(last.fields).get('value') ?? '';
    const input = inputOf(form);
    if (input === null) pressAs(form, value);
    // The line is free for the next one as soon as one was entered.
    else if (input.id !== 'line') input.value = value;
  }
}
