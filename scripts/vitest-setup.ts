// The store's tests run against IndexedDB in memory.
import 'fake-indexeddb/auto';
