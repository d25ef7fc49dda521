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

/** A system drilled through once it is laid: what it stands on, and each layer that is always laid. */
export function core(system: ListedSystem): Stratum[] {
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
    { ...stratum('slab', 'SLAB', 'Slab', 0), made: system.made },
    ...system.form.layers
      .filter((l) => !l.when)
      .map((l) => {
        const kind = l.role as Stratum['kind'];
        return stratum(l.id, kind, l.title, DRAWN_UM[kind] ?? USUAL_UM);
      }),
  ];
}
