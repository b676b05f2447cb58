// What is being typed outlives a reload of its page.

import { about } from './control.js';

const typed = new Set();

const key = (form) => `draft ${window.location.pathname} ${about(form)}`;

/** What a person can fill in of a form. */
const fieldsOf = (form) =>
  [...form.elements].filter((one) => one.name && one.matches('input:not([type="hidden"]), textarea, select'));

/** Whether something is typed or chosen in a form that was not entered yet. */
export const isTyped = (form) => typed.has(about(form));

export const entered = (form) => typed.delete(about(form));

/** Lets go of the draft of what is kept as an entry now, unless something is typed there again. */
export function letGoOfDraft(form) {
  if (isTyped(form)) return;
  try {
    sessionStorage.removeItem(key(form));
  } catch {
    // A browser that keeps nothing kept no draft.
  }
}

function keep(form) {
  typed.add(about(form));
  const draft = fieldsOf(form).map((one) => [one.name, one.value]);
  try {
    sessionStorage.setItem(key(form), JSON.stringify(draft));
  } catch {
    // Only a reload would miss it.
  }
}

/** @returns {[string, string][]} names and values; none where there is no draft */
function draftOf(form) {
  try {
    const draft = JSON.parse(sessionStorage.getItem(key(form)));
    return Array.isArray(draft) ? draft : [];
  } catch {
    return [];
  }
}

function restore(form) {
  const draft = new Map(draftOf(form));
  const fields = fieldsOf(form).filter((one) => draft.has(one.name) && !one.disabled);
  if (fields.length === 0) return;
  for (const field of fields) {
    field.value = draft.get(field.name);
  }
  typed.add(about(form));
}

export function startDrafts() {
  document.addEventListener('input', (event) => {
    const form = event.target.closest?.('form[data-entry]');
    if (form) keep(form);
  });
  document.querySelectorAll('form[data-entry]').forEach(restore);
  // A part that was drawn anew for another amount or choice keeps what was being filled in.
  document.addEventListener('htmx:afterSettle', (event) => {
    event.target.querySelectorAll?.('form[data-entry]').forEach(restore);
  });
}
