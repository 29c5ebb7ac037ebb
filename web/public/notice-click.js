/* A notice of a clock leads to its joint: in the page that is open, or in a new one. */
self.addEventListener('notificationclick', (event) => {
  event.notification.close()
  const to = event.notification.data
  event.waitUntil(
    self.clients.matchAll({ type: 'window' }).then((pages) => {
      const [page] = pages
      if (!page) return self.clients.openWindow(to)
      return page.focus().then((p) => p.navigate(to))
    }),
  )
})
