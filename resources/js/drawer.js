// On a phone the verdict is a drawer: a tap on its handle, or a pull, shows it whole.

let up = false;

function show() {
  const verdict = document.getElementById('verdict');
  if (!verdict) return;
  verdict.classList.toggle('is-up', up);
  verdict.querySelector('[data-drawer]')?.setAttribute('aria-expanded', String(up));
}

// The bar of stations slides: where one is stands in its middle.
function slide() {
  document.querySelector('#walk [aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
}

export function startDrawer() {
  slide();
  document.addEventListener('click', (event) => {
    if (event.target.closest?.('[data-drawer]')) {
      up = !up;
      show();
    }
  });
  let from = null;
  document.addEventListener('touchstart', (event) => {
    from = event.target.closest?.('[data-drawer], .verdict .lead') ? event.touches[0].clientY : null;
  }, { passive: true });
  document.addEventListener('touchend', (event) => {
    if (from === null) return;
    const moved = event.changedTouches[0].clientY - from;
    from = null;
    if (Math.abs(moved) > 30) {
      up = moved < 0;
      show();
    }
  });
  document.addEventListener('metrum:merged', () => {
    show();
    slide();
  });
}
