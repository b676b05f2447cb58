// Circles, arrows and words drawn on a photo; kept with it as shares of its width and height.

const SVG = 'http://www.w3.org/2000/svg';

let marks = [];
let begun = null;

const board = () => document.getElementById('marks');

const toolOf = () => document.querySelector('[name="tool"]:checked')?.value ?? 'circle';

function shape(name, values) {
  const made = document.createElementNS(SVG, name);
  Object.entries(values).forEach(([key, value]) => made.setAttribute(key, value));
  return made;
}

/** The two strokes of an arrow's head, at its end. */
function head([x, y], [fromX, fromY]) {
  const angle = Math.atan2(y - fromY, x - fromX);
  const stroke = (turn) => `${x - 34 * Math.cos(angle + turn)},${y - 34 * Math.sin(angle + turn)}`;
  return shape('polyline', { points: `${stroke(0.5)} ${x},${y} ${stroke(-0.5)}` });
}

function drawn(mark, width, height) {
  const [x, y, toX, toY] = [mark.x * width, mark.y * height, mark.to_x * width, mark.to_y * height];
  if (mark.shape === 'word') {
    // In the right half it ends at its place, so that it stays on the photo.
    const word = shape('text', { x, y, 'text-anchor': mark.x > 0.5 ? 'end' : 'start' });
    word.textContent = mark.word;
    return [word];
  }
  const r = Math.max(12, Math.hypot(toX - x, toY - y));
  if (mark.shape === 'circle') return [shape('circle', { cx: x, cy: y, r })];
  return [shape('line', { x1: x, y1: y, x2: toX, y2: toY }), head([toX, toY], [x, y])];
}

function draw(more = []) {
  const { width, height } = board().viewBox.baseVal;
  board().replaceChildren(...[...marks, ...more].flatMap((one) => drawn(one, width, height)));
  const field = document.getElementById('marks-field');
  if (field !== null) field.value = JSON.stringify(marks);
}

function placeOf(event) {
  const box = board().getBoundingClientRect();
  const share = (at, from, length) => Math.min(1, Math.max(0, (at - from) / length));
  return [share(event.clientX, box.left, box.width), share(event.clientY, box.top, box.height)];
}

function markTo(event) {
  const [toX, toY] = placeOf(event);
  return { shape: toolOf(), x: begun[0], y: begun[1], to_x: toX, to_y: toY, word: '' };
}

function word(event) {
  const field = document.getElementById('mark-word');
  if (field.value.trim() === '') {
    field.focus();
    return;
  }
  const [x, y] = placeOf(event);
  marks.push({ shape: 'word', x, y, to_x: x, to_y: y, word: field.value.trim().slice(0, 60) });
  draw();
}

export function startMarks() {
  if (board() === null) return;
  marks = JSON.parse(board().dataset.marks);
  draw();
  if (!('drawable' in board().dataset)) return;
  board().addEventListener('pointerdown', (event) => {
    event.preventDefault();
    if (toolOf() === 'word') {
      word(event);
      return;
    }
    begun = placeOf(event);
    board().setPointerCapture(event.pointerId);
  });
  board().addEventListener('pointermove', (event) => {
    if (begun !== null) draw([markTo(event)]);
  });
  board().addEventListener('pointerup', (event) => {
    if (begun === null) return;
    marks.push(markTo(event));
    begun = null;
    draw();
  });
  document.getElementById('mark-back').addEventListener('click', () => {
    marks.pop();
    draw();
  });
}
