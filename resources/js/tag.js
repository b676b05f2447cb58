// A tag's code leads to its circuit: what leads on to the visit takes that along, and the visit notes it.

const TAG = /^#tag(?:=(.*))?$/;

/** On the page of the circuit: the part goes along with every way to a visit. */
function takeAlong(circuit) {
  const mark = `#tag=${encodeURIComponent(circuit.dataset.tag)}`;
  for (const link of document.querySelectorAll('a[href*="/visits/"]')) link.href = link.href.split('#')[0] + mark;
  for (const form of document.querySelectorAll('form.begin')) form.action = form.action.split('#')[0] + mark;
}

/** At the visit: noted once, by the same way as every entry. */
function note(form, part) {
  history.replaceState(history.state, '', location.pathname + location.search);
  if (part !== undefined) form.elements.part.value = decodeURIComponent(part);
  form.requestSubmit();
}

export function startTags() {
  const read = TAG.exec(location.hash);
  if (read === null) return;
  const circuit = document.querySelector('[data-tag]');
  const form = document.getElementById('tag-form');
  if (circuit !== null) takeAlong(circuit);
  else if (form !== null) note(form, read[1]);
}
