import type { PrivateFiles } from '../src/db/index.ts';

/** Files beside the databases, in memory: as a browser keeps them, but that nothing is slow and all can be looked at. */
export function filesHere(content = new Map<string, Uint8Array<ArrayBuffer>>()) {
  const locks = new Map<string, Promise<unknown>>();
  const there = (name: string) => content.get(name) ?? new Uint8Array();
  const alone = <T>(name: string, work: () => Promise<T>): Promise<T> => {
    const next = (locks.get(name) ?? Promise.resolve()).then(work, work);
    locks.set(name, next);
    void next.finally(() => locks.get(name) === next && locks.delete(name)).catch(() => undefined);
    return next;
  };
  return {
    content,
    size: (name) => Promise.resolve(there(name).length),
    read: (name, most) => Promise.resolve(there(name).slice(0, most)),
    write: (name, bytes) => Promise.resolve(void content.set(name, bytes.slice())),
    append: (name, bytes) => Promise.resolve(void content.set(name, joined(there(name), bytes))),
    remove: (name) => Promise.resolve(void content.delete(name)),
    alone,
    unlessBusy: (name, work) => (locks.has(name) ? Promise.resolve() : alone(name, work)),
  } satisfies PrivateFiles & { readonly content: typeof content };
}

function joined(first: Uint8Array, second: Uint8Array): Uint8Array<ArrayBuffer> {
  const whole = new Uint8Array(first.length + second.length);
  whole.set(first);
  whole.set(second, first.length);
  return whole;
}
