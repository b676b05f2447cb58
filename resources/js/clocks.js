// Clocks in the head of a page: they count on without the server, and sound once when done.

const rung = new Set();

function ring() {
  try {
    const sound = new AudioContext();
    const tone = sound.createOscillator();
    tone.frequency.value = 880;
    tone.connect(sound.destination);
    tone.start();
    tone.stop(sound.currentTime + 0.4);
  } catch {
    // A device that makes no sound still shows it.
  }
}

function draw(clock) {
  const ends = Number(clock.dataset.ends);
  const left = Math.max(0, Math.round((ends - Date.now()) / 1000));
  const time = clock.querySelector('time');
  const text = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
  if (time.textContent !== text) time.textContent = text;
  if (left > 0 || rung.has(ends)) return;
  rung.add(ends);
  clock.classList.add('done');
  clock.querySelector('span').textContent = ' read again now';
  ring();
}

export function startClocks() {
  const all = () => document.querySelectorAll('[data-ends]').forEach(draw);
  all();
  setInterval(all, 1000);
}
