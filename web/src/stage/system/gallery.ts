import type { ListedSystem, Stratum } from '../../api/types';

/** How thick a layer of a kind is drawn where no zone has reckoned it, µm: ours, for the picture only. */
const DRAWN_UM: Partial<Record<Stratum['kind'], number>> = { OVERLAY: 3000, BODY: 300, BASE: 200 };
const USUAL_UM = 60;

/** What to look for; an empty word asks nothing. */
export interface Sought {
  substrate: string;
  use: string;
  tone: string;
}

export function fits(system: ListedSystem, sought: Sought): boolean {
  const { on, uses, face } = system.form;
  return (
    (sought.substrate === '' || on.includes(sought.substrate as (typeof on)[number])) &&
    (sought.use === '' || uses.includes(sought.use as (typeof uses)[number])) &&
    (sought.tone === '' || face.tone === sought.tone)
  );
}

/** A floor drilled through once it is laid. @param layers from the floor upward */
export function drilled(
  made: Stratum['made'],
  layers: readonly { id: string; title: string; role: string }[],
): Stratum[] {
  const stratum = (id: string, kind: Stratum['kind'], title: string, filmUm: number): Stratum => ({
    id,
    kind,
    title,
    filmUm,
    detail: '',
    mark: 'DONE',
    word: '',
  });
  return [
    { ...stratum('slab', 'SLAB', 'Slab', 0), ...(made && { made }) },
    ...layers.map((l) => {
      const kind = l.role as Stratum['kind'];
      return stratum(l.id, kind, l.title, DRAWN_UM[kind] ?? USUAL_UM);
    }),
  ];
}

/** A system with each layer that is always laid. */
export const core = (system: ListedSystem): Stratum[] =>
  drilled(
    system.made,
    system.form.layers.filter((l) => !l.when),
  );
