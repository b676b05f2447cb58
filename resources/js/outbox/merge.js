// Puts the parts of an answer into the page, around what is being typed and what still waits.

import htmx from 'htmx.org';
import { Idiomorph } from 'idiomorph';

const isForm = (node) => node.nodeType === Node.ELEMENT_NODE && node.matches('form[data-entry]');

/** A menu that was opened by hand stays open. */
const staysOpen = (name, node, change) => name === 'open' && change === 'remove' && node.matches('details:not(.menu)');

let shown = 0;

/** How many facts the log had that this page shows. */
export const lengthOf = (root) => Number(root.querySelector('[data-log]')?.dataset.log ?? 0);

export function startMerging() {
  shown = lengthOf(document);
}

/**
 * @param root a document or fragment with parts, each marked data-part and with an id
 * @param log the length of the log that they were drawn from; older ones than those shown are let be
 * @param isBusy whether a form must be left as it is
 */
export function merge(root, log, isBusy) {
  if (log < shown) return;
  shown = log;
  const parts = [...root.querySelectorAll('[data-part]')];
  for (const part of parts.filter((one) => one.parentElement?.closest('[data-part]') === null)) {
    // Not part.id: within a form that is its field of this name.
    const here = document.getElementById(part.getAttribute('id'));
    if (here === null || (isForm(here) && isBusy(here))) continue;
    const now = Idiomorph.morph(here, part, {
      morphStyle: 'outerHTML',
      callbacks: {
        beforeNodeMorphed: (old) => !(isForm(old) && isBusy(old)),
        beforeAttributeUpdated: (name, node, change) => !staysOpen(name, node, change),
      },
    });
    now.filter((one) => one.nodeType === Node.ELEMENT_NODE).forEach((one) => htmx.process(one));
  }
  document.dispatchEvent(new CustomEvent('metrum:merged'));
}
