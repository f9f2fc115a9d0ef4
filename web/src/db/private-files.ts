/**
 * Files that the browser keeps for this address beside its databases: what damages those leaves these alone. To be asked in a
 * worker only.
 */
export interface PrivateFiles {
  /** How large a file is, bytes; 0: it is not there. */
  size(name: string): Promise<number>;
  /**
   * What is in a file; nothing where it is not there.
   *
   * @param most so many bytes of its beginning are enough
   */
  read(name: string, most?: number): Promise<Uint8Array<ArrayBuffer>>;
  /** Writes a file anew, down to the disk. */
  write(name: string, bytes: Uint8Array<ArrayBuffer>): Promise<void>;
  /** Writes on at a file's end. */
  append(name: string, bytes: Uint8Array<ArrayBuffer>): Promise<void>;
  remove(name: string): Promise<void>;
  /** Does something while no other tab does what goes by the same name. */
  alone<T>(name: string, work: () => Promise<T>): Promise<T>;
  /** The same, but leaves it where another tab is at it. */
  unlessBusy(name: string, work: () => Promise<void>): Promise<void>;
}

const FOLDER = 'second-copy';

let opened: Promise<PrivateFiles | undefined> | undefined;

/** Those of this browser; undefined where it has none, as in some private windows and at an address that is not a safe one. */
export function privateFiles(): Promise<PrivateFiles | undefined> {
  return (opened ??= openFiles());
}

async function openFiles(): Promise<PrivateFiles | undefined> {
  const { storage, locks } = navigator as Partial<Navigator>;
  if (!storage?.getDirectory || !locks) return undefined;
  try {
    const root = await storage.getDirectory();
    return filesIn(await root.getDirectoryHandle(FOLDER, { create: true }), locks);
  } catch {
    // it has them and does not give them away
    return undefined;
  }
}

function filesIn(folder: FileSystemDirectoryHandle, locks: LockManager): PrivateFiles {
  const found = async (name: string): Promise<File | undefined> => {
    try {
      return await (await folder.getFileHandle(name)).getFile();
    } catch {
      return undefined;
    }
  };
  const written = async (name: string, work: (file: FileSystemSyncAccessHandle) => void): Promise<void> => {
    const file = await (await folder.getFileHandle(name, { create: true })).createSyncAccessHandle();
    try {
      work(file);
    } finally {
      file.close();
    }
  };
  return {
    size: async (name) => (await found(name))?.size ?? 0,
    read: async (name, most) =>
      new Uint8Array((await (await found(name))?.slice(0, most).arrayBuffer()) ?? new ArrayBuffer()),
    write: (name, bytes) =>
      written(name, (file) => {
        file.truncate(0);
        file.write(bytes, { at: 0 });
        file.flush();
      }),
    append: (name, bytes) =>
      written(name, (file) => {
        file.write(bytes, { at: file.getSize() });
      }),
    remove: (name) => folder.removeEntry(name).catch(() => undefined),
    alone: (name, work) => locks.request(name, work) as ReturnType<typeof work>,
    unlessBusy: (name, work) =>
      locks.request(name, { ifAvailable: true }, (lock) => (lock ? work() : undefined)),
  };
}
