// A voice note: recorded for a minute at most, by the browser's recorder or the one that stands in for it.

const LONGEST = 60;

const recorderOf = async () =>
  'MediaRecorder' in window ? window.MediaRecorder : (await import('audio-recorder-polyfill')).default;

/**
 * @param {(seconds: number) => void} counted told every second
 * @returns {Promise<{stop: () => void, done: Promise<Blob>}>} throws where no microphone may be heard
 */
export async function record(counted) {
  const Recorder = await recorderOf();
  const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
  const recorder = new Recorder(stream);
  const pieces = [];
  recorder.addEventListener('dataavailable', ({ data }) => pieces.push(data));
  let seconds = 0;
  const timer = setInterval(() => {
    seconds += 1;
    counted(seconds);
    if (seconds >= LONGEST) stop();
  }, 1000);
  function stop() {
    clearInterval(timer);
    if (recorder.state !== 'inactive') recorder.stop();
  }
  const done = new Promise((resolve) => {
    recorder.addEventListener('stop', () => {
      stream.getTracks().forEach((track) => track.stop());
      resolve(new Blob(pieces, { type: pieces[0]?.type ?? recorder.mimeType }));
    });
  });
  recorder.start();
  counted(0);
  return { stop, done };
}
