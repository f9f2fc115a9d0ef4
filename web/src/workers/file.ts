import type { Progress } from '@rundel/core/garden-file';
import { proxy, transfer, wrap, type Remote } from 'comlink';
import type { FileAnswer, FileApi, HowToOpen } from './file.worker.ts';

export type { FileAnswer, FileFound, HowToOpen } from './file.worker.ts';
export type OpeningReport = Awaited<ReturnType<FileApi['compare']>>;

type OnProgress = (progress: Progress) => void;

/** A file in a worker of its own. Whoever has done with it lets it go; that also stops what is still being done. */
export class FileInWorker {
  private readonly worker = new Worker(new URL('./file.worker.ts', import.meta.url), {
    type: 'module',
    name: 'file',
  });
  private readonly api: Remote<FileApi> = wrap<FileApi>(this.worker);
  private stop: ((error: Error) => void) | undefined;
  private readonly stopped = new Promise<never>((_, reject) => {
    this.stop = reject;
    this.worker.addEventListener('error', (event) => reject(new Error(event.message)));
  });

  constructor() {
    // one that is let go of while nothing is asked of it is no failure
    this.stopped.catch(() => undefined);
  }

  async read(file: Blob, onProgress: OnProgress): Promise<FileAnswer> {
    const bytes = await file.arrayBuffer();
    const answer = this.api.read(transfer(bytes, [bytes]), proxy(onProgress)) as Promise<FileAnswer>;
    return this.asked(answer);
  }

  compare(database: string): Promise<OpeningReport> {
    return this.asked(this.api.compare(database));
  }

  put(how: HowToOpen, garden: string, onProgress: OnProgress): Promise<string> {
    return this.asked(this.api.put(how, garden, proxy(onProgress)));
  }

  async save(database: string, garden: string, savedAt: string, kind: 'zip' | 'json'): Promise<Blob> {
    const bytes = await this.asked(this.api.save(database, garden, savedAt, kind));
    return new Blob([bytes], { type: kind === 'zip' ? 'application/zip' : 'application/json' });
  }

  /** Makes a garden's second copy whole. */
  makeCopy(database: string, garden: string, savedAt: string): Promise<void> {
    return this.asked(this.api.makeCopy(database, garden, savedAt));
  }

  /** Reads a garden's second copy as a file that was chosen; undefined where there is none. */
  readCopy(garden: string): Promise<FileAnswer | undefined> {
    const answer = this.api.readCopy(garden) as Promise<FileAnswer | undefined>;
    return this.asked(answer);
  }

  /** What is left of a garden's second copy as a file, though it may not read; undefined where there is none. */
  async saveCopy(garden: string): Promise<Blob | undefined> {
    const bytes = await this.asked(this.api.saveCopy(garden));
    return bytes && new Blob([bytes], { type: 'application/json' });
  }

  tidy(database: string): Promise<number> {
    return this.asked(this.api.tidy(database));
  }

  /** Ends the work; what was asked for rejects with an AbortError. */
  letGo(): void {
    this.stop?.(new DOMException('No longer wanted.', 'AbortError'));
    this.worker.terminate();
  }

  private asked<T>(answer: Promise<T>): Promise<T> {
    return Promise.race([answer, this.stopped]);
  }
}
