<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { layerRoles, offerDrawing } from '../../api/client';
  import type { DrawingOffer, Named, TracedView } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import Dialog from '../../parts/Dialog.svelte';
  import FilePick from '../../parts/FilePick.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import OfferedDrawing from './OfferedDrawing.svelte';
  import type { PlanDesk } from './plan.svelte';

  interface Props {
    desk: PlanDesk;
    /** @param rooms how many were put on the plan */
    onclose: (rooms: number) => void;
  }

  let { desk, onclose }: Props = $props();

  let text = '';
  let offer = $state.raw<DrawingOffer | null>(null);
  let roles = $state<Record<string, string>>({});
  let choices = $state.raw<readonly Named[]>([]);
  let unit = $state('');
  let problem = $state.raw<ApiProblem | null>(null);
  let busy = $state(false);
  let taken = 0;
  let traced = $state.raw<TracedView | null>(null);

  const size = (metres: number) => metres.toLocaleString('en', { maximumFractionDigits: 2 });

  async function attempt(work: () => Promise<void>) {
    busy = true;
    problem = null;
    try {
      await work();
    } catch (e) {
      problem = asProblem(e);
    } finally {
      busy = false;
    }
  }

  function read(file: File) {
    offer = null;
    traced = null;
    return attempt(async () => {
      text = await file.text();
      const read = await offerDrawing(text);
      choices = await layerRoles();
      roles = Object.fromEntries(read.layers.map((l) => [l.name, l.role]));
      unit = read.unit;
      offer = read;
    });
  }

  function take(event: SubmitEvent) {
    event.preventDefault();
    return attempt(async () => {
      const before = desk.draft.rooms.length;
      traced = await desk.trace({ text, unit, roles });
      taken = desk.draft.rooms.length - before;
      if (traced.left.length + traced.assumed.length === 0) {
        onclose(taken);
      }
    });
  }
</script>

<Dialog title="Rooms from a drawing" onclose={() => onclose(taken)}>
  <form onsubmit={(e) => void take(e)}>
    <FilePick
      label="Drawing"
      hint="DXF (ASCII, release 12 to 2000) or GeoJSON in local metres"
      accept=".dxf,.geojson,.json"
      onpick={(f) => void read(f)}
    />
    {#if busy}<p role="status">Reading the drawing…</p>{/if}
    <Trouble {problem} />
    {#if traced}
      <p role="status">The rooms are on the plan. Undo takes them off again.</p>
      {#if traced.left.length > 0}<p>Not taken over: {traced.left.join('; ')}.</p>{/if}
      {#if traced.assumed.length > 0}
        <p>To be measured, since the drawing does not say: {traced.assumed.join('; ')}.</p>
      {/if}
      <Button kind="main" onclick={() => onclose(taken)}>To the plan</Button>
    {:else if offer}
      <OfferedDrawing {offer} {roles} />
      <label class="unit">
        <span>Drawn in</span>
        <select bind:value={unit} required>
          {#if unit === ''}<option value="">the file does not say: choose</option>{/if}
          {#each offer.units as u (u)}<option value={u}>{u}</option>{/each}
        </select>
        <span>{size(offer.width)} by {size(offer.height)} {unit || 'of what?'}</span>
      </label>
      <table>
        <thead><tr><th>layer</th><th>lines</th><th>on the plan</th></tr></thead>
        <tbody>
          {#each offer.layers as layer (layer.name)}
            <tr>
              <th scope="row">{layer.name}</th>
              <td>{layer.lines}</td>
              <td>
                <select aria-label="Layer {layer.name}" bind:value={roles[layer.name]}>
                  {#each choices as role (role.id)}<option value={role.id}>{role.label}</option
                    >{/each}
                </select>
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
      {#if offer.skipped.length > 0}
        <p class="aside">No lines on a floor, so left out: {offer.skipped.join(', ')}.</p>
      {/if}
      <Button kind="main" type="submit" disabled={busy || unit === ''}>Put on the plan</Button>
    {/if}
  </form>
</Dialog>

<style>
  form {
    display: grid;
    gap: 12px;
    justify-items: start;
  }

  .unit {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: center;
    font-weight: 500;
  }

  table {
    inline-size: 100%;
    border-collapse: collapse;
  }

  thead th {
    font-size: 13px;
    font-weight: 500;
    color: var(--ink-soft);
  }

  th {
    text-align: start;
    overflow-wrap: anywhere;
  }

  tbody tr {
    border-block-start: 1px solid var(--line);
  }

  td {
    padding: 4px 8px 4px 0;
  }

  .aside {
    color: var(--ink-soft);
    font-size: 14px;
  }
</style>
