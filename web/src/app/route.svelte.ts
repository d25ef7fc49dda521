import { follow, isDialogOpen } from '../parts/dialogs';

export type Route =
  | { at: 'rack' }
  | { at: 'job'; jobId: string; zoneId: string; stratum: string; section: string }
  | { at: 'log'; jobId: string; zoneId: string }
  | { at: 'shelf'; slug: string }
  | { at: 'instruments'; id: string }
  | { at: 'systems'; id: string }
  | { at: 'prices' }
  | { at: 'practices'; jobId: string };

/** Where the user is: the hash, so that a link is a place and Back works. */
class Router {
  route = $state.raw<Route>(parse(location.hash));

  start(): () => void {
    const listen = () => (this.route = parse(location.hash));
    addEventListener('hashchange', listen);
    return () => removeEventListener('hashchange', listen);
  }
}

/** A link somebody broke leads to the rack, not to a blank page. */
function decoded(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return '';
  }
}

export function parse(hash: string): Route {
  const [head, a = '', b = '', c = '', d = ''] = hash.replace(/^#\/?/, '').split('/').map(decoded);
  if (head === 'job' && a) {
    return c === 'log'
      ? { at: 'log', jobId: a, zoneId: b }
      : { at: 'job', jobId: a, zoneId: b, stratum: c, section: d };
  }
  if (head === 'systems') {
    return { at: 'systems', id: a };
  }
  if (head === 'prices') {
    return { at: 'prices' };
  }
  if (head === 'practices') {
    return { at: 'practices', jobId: a };
  }
  if (head === 'instruments') {
    return { at: 'instruments', id: a };
  }
  return head === 'shelf' ? { at: 'shelf', slug: a } : { at: 'rack' };
}

export const rackHref = '#/';
export const shelfHref = (slug = ''): string =>
  slug ? `#/shelf/${encodeURIComponent(slug)}` : '#/shelf';
export const instrumentHref = (id = ''): string => (id ? `#/instruments/${id}` : '#/instruments');
export const systemHref = (id = ''): string =>
  id ? `#/systems/${encodeURIComponent(id)}` : '#/systems';
export const pricesHref = '#/prices';
export const practicesHref = (jobId = ''): string =>
  jobId ? `#/practices/${jobId}` : '#/practices';
/** @param section a place within a long stage */
export const jobHref = (jobId: string, zoneId = '', stratum = '', section = ''): string =>
  ['#/job', jobId, zoneId, stratum, section].filter((p) => p !== '').join('/');

/** Goes to another screen. From a dialog it goes instead of it: Back does not lead to where a dialog once was. */
export function go(href: string): void {
  if (isDialogOpen()) {
    location.replace(href);
  } else {
    follow(href);
  }
}

export const router = new Router();
