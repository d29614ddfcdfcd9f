import { fileRoutes, routes, type ShareView } from '@red-shelf/contract';
import type { Request, RequestHandler, Router } from 'express';
import { mount } from '../http/route';
import { strictRouter } from '../http/strict';
import { Refusal } from '../services/refusal';
import type { Sharing } from './sharing';

const NOT_SHARED =
  'This stash is not shared. To reach it from a phone, end Red Shelf and start it with: npm start -- --share';

/** What one who asks may know: a device that was let in sees itself, one that was not sees no device at all. */
export const viewFor = (sharing: Sharing, asking: string | null): ShareView => {
  const view = sharing.view(asking);
  return { ...view, devices: view.devices.filter(({ id }) => id === asking) };
};

/** The certificate that a phone has to trust, as a file of the kind it offers to install. */
export const sendAuthority =
  (sharing: Sharing | undefined): RequestHandler =>
  (_request, response) => {
    if (!sharing) throw new Refusal(409, 'not_shared', NOT_SHARED);
    response.attachment('red-shelf.crt').type('application/x-x509-ca-cert').send(sharing.certificate());
  };

/** A device gives itself a name, and leaves. Who else comes and goes is the business of the computer with the stash. */
export function deviceRoutes(sharing: Sharing, asking: (request: Request) => string | null): Router {
  const router = strictRouter();
  // The guard stands on the routes themselves, whatever way a request came to them.
  router.all([routes.nameDevice.path, routes.shutOut.path], (request, _response, next) => {
    if (asking(request) === request.params.id) return next();
    throw new Refusal(403, 'not_here', 'That is done on the computer that holds the stash.');
  });
  mount(router, routes.nameDevice, async ({ params: { id = '' }, body }) => {
    await sharing.devices.call(id, body.name);
    return viewFor(sharing, id);
  });
  mount(router, routes.shutOut, async ({ params: { id = '' } }) => {
    await sharing.devices.shutOut(id);
    return viewFor(sharing, null);
  });
  router.put(routes.setPassphrase.path, () => {
    throw new Refusal(403, 'not_here', 'The passphrase is set on the computer that holds the stash.');
  });
  return router;
}

const OFF: ShareView = {
  state: 'off',
  because: null,
  addresses: [],
  fingerprint: null,
  asking: null,
  devices: [],
};

/** What the computer that holds the stash sees and decides; nothing is shared unless it was started so. */
export function shareRoutes(sharing: Sharing | undefined): Router {
  const router = strictRouter();
  const shared = (): Sharing => {
    if (!sharing) throw new Refusal(409, 'not_shared', NOT_SHARED);
    return sharing;
  };
  mount(router, routes.share, () => Promise.resolve(sharing?.view() ?? OFF));
  router.get(fileRoutes.authority.path, sendAuthority(sharing));
  mount(router, routes.setPassphrase, async ({ body }) => {
    await shared().setPassphrase(body.passphrase);
    return shared().view();
  });
  mount(router, routes.nameDevice, async ({ params: { id = '' }, body }) => {
    await shared().devices.call(id, body.name);
    return shared().view();
  });
  mount(router, routes.shutOut, async ({ params: { id = '' } }) => {
    await shared().devices.shutOut(id);
    return shared().view();
  });
  router.post(routes.enter.path, () => {
    throw new Refusal(
      409,
      'let_in_already',
      'On the computer that holds the stash nothing has to be entered.',
    );
  });
  return router;
}
