// The codes of labels: each leads to its circuit.

export async function startLabels() {
  const places = document.querySelectorAll('[data-code]');
  if (places.length === 0) return;
  const { renderSVG } = await import('uqr');
  for (const place of places) {
    // What the library draws is its own: nothing that a person typed is in it but the address, as modules.
    const code = renderSVG(place.dataset.code, { ecc: 'M', border: 2 });
    const drawn = new DOMParser().parseFromString(code, 'image/svg+xml');
    place.replaceChildren(document.importNode(drawn.documentElement, true));
  }
}
