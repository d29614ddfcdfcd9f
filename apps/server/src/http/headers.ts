import helmet from 'helmet';

/** What browsers are told of every answer: nothing of other sites, and no guessing. */
export const headers = helmet({
  contentSecurityPolicy: {
    directives: {
      // React Native's web target writes its styles at run time.
      'style-src': ["'self'", "'unsafe-inline'"],
      'img-src': ["'self'", 'data:', 'blob:'],
      'worker-src': ["'self'", 'blob:'],
      // Plain http on loopback: there is nothing to upgrade to.
      'upgrade-insecure-requests': null,
    },
  },
  strictTransportSecurity: false,
});
