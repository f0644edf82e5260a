import * as Comlink from 'comlink';
import { checkFile, MODEL_FILE, readAnyFile, readModelGlb, Refusal, writePathGltf } from '@gentle-arc/core/formats';
import { sceneOf } from '@gentle-arc/core/scene';
import { FileRequestSchema, PathRequestSchema, type FileWorker } from './file-messages';

const worker: FileWorker = {
  async read(message) {
    const { file, wanted, landing } = FileRequestSchema.parse(message);
    try {
      checkFile(file.name, file.size, wanted);
      if (MODEL_FILE.test(file.name) && (wanted === null || wanted === 'model'))
        return { kind: 'model', model: await readModelGlb(file.name, new Uint8Array(await file.arrayBuffer())) };
      return readAnyFile(file.name, await file.text(), wanted, landing);
    } catch (error) {
      if (error instanceof Refusal) return error.message;
      throw error;
    }
  },
  async writeGltf(message) {
    const { shoot, shotId } = PathRequestSchema.parse(message);
    const shot = shoot.shots.find(({ id }) => id === shotId);
    if (!shot) throw new RangeError(`No shot ${shotId} in this shoot.`);
    return writePathGltf(sceneOf(shoot, shot));
  },
};

Comlink.expose(worker);
