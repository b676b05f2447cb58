// The name under which pages are kept on the device: by the service worker, and by the page that lays its stations in.

export const PAGES = 'pages';
