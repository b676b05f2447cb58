// What is being typed outlives a reload of its page.

import { about, inputOf } from './control.js';

const typed = new Set();

const key = (form) => `draft ${window.location.pathname} ${about(form)}`;

/** Whether something is typed in a form that was not entered yet. */
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

function keep(form, text) {
  typed.add(about(form));
  try {
    sessionStorage.setItem(key(form), text);
  } catch {
    // Only a reload would miss it.
  }
}

function restore(form) {
  const input = inputOf(form);
  let text = null;
  try {
    text = sessionStorage.getItem(key(form));
  } catch {
    return;
  }
  if (input === null || text === null || input.disabled) return;
  input.value = text;
  typed.add(about(form));
}

export function startDrafts() {
  document.addEventListener('input', (event) => {
    const form = event.target.closest?.('form[data-entry]');
    if (form && event.target === inputOf(form)) keep(form, event.target.value);
  });
  document.querySelectorAll('form[data-entry]').forEach(restore);
}
