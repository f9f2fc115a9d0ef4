// Part of the service worker: a reminder that is pressed brings Rundel to the front, or opens it.
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  event.waitUntil(
    self.clients.matchAll({ type: 'window' }).then((open) => {
      const [first] = open;
      return first ? first.focus() : self.clients.openWindow(self.registration.scope);
    }),
  );
});
