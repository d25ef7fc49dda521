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
      {/each}
    </tbody>
  </table>
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

  @media (max-width: 759px) {
    tr {
      display: grid;
      grid-template-columns: auto auto;
    }

    th {
      grid-column: 1 / -1;
    }
  }
</style>
