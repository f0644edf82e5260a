import * as Comlink from 'comlink';
import { checkFile, readAnyFile } from '@gentle-arc/core/formats/any-file';
import { Refusal } from '@gentle-arc/core/formats/refusal';
import { FileRequestSchema, type FileWorker } from './file-messages';

const worker: FileWorker = {
  async read(message) {
    const { file, wanted, landing } = FileRequestSchema.parse(message);
    try {
      checkFile(file.name, file.size, wanted);
      return readAnyFile(file.name, await file.text(), wanted, landing);
    } catch (error) {
      if (error instanceof Refusal) return error.message;
      throw error;
    }
  },
};

Comlink.expose(worker);
