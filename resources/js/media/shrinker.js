// Beside the page: reading and drawing a photo of 12 megapixels takes long, and must not hold up a hand.

function drawn(image, longest) {
  const scale = Math.min(1, longest / Math.max(image.width, image.height));
  const canvas = new OffscreenCanvas(Math.round(image.width * scale), Math.round(image.height * scale));
  canvas.getContext('2d').drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}

/** @returns {Promise<[Blob, Blob]>} as it is sent, and as the page shows it while it waits */
async function shrunk(file, sides, quality) {
  const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const canvases = sides.map((side) => drawn(image, side));
  image.close();
  return Promise.all(canvases.map((canvas) => canvas.convertToBlob({ type: 'image/jpeg', quality })));
}

self.addEventListener('message', ({ data: { id, file, sides, quality } }) => {
  shrunk(file, sides, quality).then(
    (blobs) => self.postMessage({ id, blobs }),
    () => self.postMessage({ id, blobs: null }),
  );
});
