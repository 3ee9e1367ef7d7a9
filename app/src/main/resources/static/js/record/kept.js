// Recordings that the server doesn't have yet, kept by the browser piece by piece: what is said outlives the tab, the
// network and the server.

const opened = new Promise((resolve, reject) => {
  const asked = indexedDB.open('logophon-recordings', 1);
  asked.onupgradeneeded = () => {
    asked.result.createObjectStore('recording', { keyPath: 'id' });
    asked.result.createObjectStore('piece', { keyPath: ['recording', 'at'] });
  };
  asked.onsuccess = () => resolve(asked.result);
  asked.onerror = () => reject(asked.error);
});
opened.catch(() => {
  /* a private window keeps nothing: recording works all the same */
});

async function within(stores, mode, work) {
  const database = await opened;
  return new Promise((resolve, reject) => {
    const turn = database.transaction(stores, mode);
    const answer = work(...stores.map(store => turn.objectStore(store)));
    turn.oncomplete = () => resolve(answer?.result);
    turn.onerror = () => reject(turn.error);
    turn.onabort = () => reject(turn.error);
  });
}

const whole = id => IDBKeyRange.bound([id, 0], [id, Infinity]);

/** @param recording its id, project, cue, number, at */
export const begin = recording => within(['recording'], 'readwrite', store => store.put(recording));
export const add = (recording, at, samples) =>
  within(['piece'], 'readwrite', store => store.put({ recording, at, samples }));
export const all = () => within(['recording'], 'readonly', store => store.getAll());
export const pieces = async id =>
  (await within(['piece'], 'readonly', store => store.getAll(whole(id)))).map(piece => piece.samples);
export const forget = id =>
  within(['recording', 'piece'], 'readwrite', (recordings, parts) => {
    recordings.delete(id);
    parts.delete(whole(id));
  });
