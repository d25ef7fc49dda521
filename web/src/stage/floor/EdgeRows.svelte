<script lang="ts">
  import type { RoomForm, RoomPlan } from '../../api/types';
  import Fold from '../../parts/Fold.svelte';
  import type { PlanDesk } from './plan.svelte';

  interface Props {
    desk: PlanDesk;
    room: RoomForm;
    plan: RoomPlan | undefined;
  }

  let { desk, room, plan }: Props = $props();

  const edge = (run: string): RoomForm['edges'][number] =>
    room.edges.find((e) => e.run === run) ?? { run, mask: true, cutIn: false, trim: false };
  const COVE = $derived(
    desk.units === 'US'
      ? { radius: '1"', height: '4"', thick: '1/8"', gap: '0"' }
      : { radius: '25 mm', height: '100 mm', thick: '3 mm', gap: '0 mm' },
  );

  function set(run: string, change: Partial<RoomForm['edges'][number]>) {
    const others = room.edges.filter((e) => e.run !== run);
    room.edges = [...others, { ...edge(run), ...change }];
    desk.typing();
    void desk.save();
  }

  function coved(run: string, on: boolean) {
    const { cove, ...bare } = edge(run);
    room.edges = [
      ...room.edges.filter((e) => e.run !== run),
      on ? { ...bare, cove: cove ?? { ...COVE } } : bare,
    ];
    desk.typing();
    void desk.save();
  }

  type Cove = NonNullable<RoomForm['edges'][number]['cove']>;
  const COVE_FIELDS: readonly { id: keyof Cove; label: string }[] = [
    { id: 'radius', label: 'Radius' },
    { id: 'height', label: 'Height' },
    { id: 'thick', label: 'Thickness' },
    { id: 'gap', label: 'Gap behind' },
  ];

  /** In the list as it stands, so that the cursor stays in its field. */
  function shape(run: string, field: keyof Cove, value: string) {
    const cove = room.edges.find((e) => e.run === run)?.cove;
    if (cove) {
      cove[field] = value;
      desk.typing();
    }
  }

  const fault = (run: string, field: keyof Cove) =>
    desk.fault(room, `edges[${room.edges.findIndex((e) => e.run === run)}].cove.${field}`);

  const filmFault = $derived(desk.fault(room, 'film'));

  const WORKS = [
    ['mask', 'Mask'],
    ['cutIn', 'Cut in'],
    ['trim', 'Trim off'],
  ] as const;
</script>

<Fold
  title="Along the walls"
  about="What is masked, cut in by hand, has its trim taken off, or gets a cove."
>
  <table>
    <tbody>
      {#each room.runs as run, i (run.id)}
        {@const now = edge(run.id)}
        {@const name = plan?.walls[i]?.name ?? String(i + 1)}
        <tr>
          <th scope="row">{name}</th>
          {#each WORKS as [key, label] (key)}
            <td
              ><label
                ><input
                  type="checkbox"
                  checked={now[key]}
                  onchange={(e) => set(run.id, { [key]: e.currentTarget.checked })}
                />
                {label}</label
              ></td
            >
          {/each}
          <td
            ><label
              ><input
                type="checkbox"
                checked={now.cove !== undefined}
                onchange={(e) => coved(run.id, e.currentTarget.checked)}
              />
              Cove</label
            ></td
          >
        </tr>
        {#if now.cove}
          <tr>
            <td colspan="5">
              <div class="cove" role="group" aria-label="Cove of {name}">
                {#each COVE_FIELDS as field (field.id)}
                  {@const wrong = fault(run.id, field.id)}
                  <label class="measure">
                    <span>{field.label}</span>
                    <input
                      value={now.cove[field.id]}
                      aria-invalid={wrong !== undefined}
                      oninput={(e) => shape(run.id, field.id, e.currentTarget.value)}
                      onchange={() => void desk.save()}
                    />
                  </label>
                  {#if wrong}<em role="status">{field.label}: accepted is {wrong.accepted}.</em
                    >{/if}
                {/each}
              </div>
            </td>
          </tr>
        {/if}
      {/each}
    </tbody>
  </table>
  <label class="measure film">
    <span>Masking film, width</span>
    <input
      value={room.film ?? ''}
      placeholder={desk.units === 'US' ? '24 in' : '600 mm'}
      aria-invalid={filmFault !== undefined}
      oninput={(e) => {
        room.film = e.currentTarget.value;
        desk.typing();
      }}
      onchange={() => void desk.save()}
    />
  </label>
  {#if filmFault}<em role="status">Masking film: accepted is {filmFault.accepted}.</em>{/if}
</Fold>

<style>
  th {
    font: 600 18px var(--figures);
    text-align: start;
    padding-inline-end: 12px;
  }

  label {
    display: flex;
    align-items: center;
    gap: 6px;
    min-block-size: var(--tap);
    padding-inline-end: 10px;
    white-space: nowrap;
  }

  .cove {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: 4px 12px;
    padding-block-end: 10px;
  }

  .measure {
    display: grid;
    gap: 2px;
    font-size: 14px;
  }

  .measure input {
    inline-size: 100%;
    font-size: 16px;
  }

  .film {
    max-inline-size: 180px;
    margin-block-start: 8px;
  }

  em {
    grid-column: 1 / -1;
    font-style: normal;
    font-size: 13px;
    font-weight: 500;
    color: var(--stop);
  }

  @media (max-width: 759px) {
    .cove {
      grid-template-columns: 1fr 1fr;
    }

    tr {
      display: grid;
      grid-template-columns: auto auto;
    }

    th {
      grid-column: 1 / -1;
    }
  }
</style>
