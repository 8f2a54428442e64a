/*
 * The microphone: asked for only when somebody presses the button, without what a telephone does to a voice.
 */

/** Why nothing can be heard. */
export type MicrophoneTrouble = 'not-secure' | 'no-microphone' | 'refused' | 'in-use';

export interface Microphone {
  readonly rate: number;
  /** Stops, and lets the device go. */
  readonly stop: () => void;
}

/** What is told while the microphone is open. */
interface Told {
  readonly onBlock: (block: Float32Array) => void;
  /** The device was taken away. */
  readonly onLost: () => void;
}

/** Opens the microphone. @param device which one; the usual one where left out */
export async function openMicrophone(told: Told, device?: string): Promise<Microphone | MicrophoneTrouble> {
  if (!globalThis.isSecureContext || navigator.mediaDevices === undefined) return 'not-secure';
  let stream: MediaStream;
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      audio: {
        echoCancellation: false,
        noiseSuppression: false,
        autoGainControl: false,
        ...(device ? { deviceId: { exact: device } } : {}),
      },
    });
  } catch (error) {
    return troubleOf(error);
  }
  const context = new AudioContext();
  const { default: recorder } = await import('./recorder.worklet.ts?worker&url');
  await context.audioWorklet.addModule(recorder);
  const source = context.createMediaStreamSource(stream);
  const node = new AudioWorkletNode(context, 'recorder', { numberOfOutputs: 0 });
  node.port.addEventListener('message', ({ data }: MessageEvent<Float32Array>) => told.onBlock(data));
  node.port.start();
  source.connect(node);
  await context.resume();
  const [track] = stream.getAudioTracks();
  track?.addEventListener('ended', told.onLost);
  const stop = () => {
    track?.removeEventListener('ended', told.onLost);
    for (const one of stream.getTracks()) one.stop();
    void context.close();
  };
  return { rate: context.sampleRate, stop };
}

export interface MicrophoneChoice {
  readonly id: string;
  readonly name: string;
}

/** The microphones there are, by the names that the machine gives them; it tells them only once one was allowed. */
export async function listMicrophones(): Promise<MicrophoneChoice[]> {
  const devices = await navigator.mediaDevices.enumerateDevices().catch(() => []);
  return devices.flatMap(({ kind, deviceId, label }) =>
    kind === 'audioinput' && label !== '' ? [{ id: deviceId, name: label }] : [],
  );
}

function troubleOf(error: unknown): MicrophoneTrouble {
  const name = error instanceof DOMException ? error.name : '';
  if (name === 'NotAllowedError' || name === 'SecurityError') return 'refused';
  return name === 'NotReadableError' || name === 'AbortError' ? 'in-use' : 'no-microphone';
}
