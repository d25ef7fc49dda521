<script lang="ts">
  import type { RoomForm, RoomPlan, RunForm } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import { freeId, type PlanDesk } from './plan.svelte';

  interface Props {
    desk: PlanDesk;
    room: RoomForm;
    plan: RoomPlan | undefined;
    chosen: string;
    onchoose: (run: string) => void;
  }

  let { desk, room, plan, chosen, onchoose }: Props = $props();

  let turn = $state('L');
  const TURNS = [
    { word: 'L', means: 'Left, square' },
    { word: 'S', means: 'Straight on' },
    { word: 'R', means: 'Right, square' },
  ] as const;

  let length = $state('');
  let across = $state('');
  let field = $state<HTMLInputElement>();

  const letter = (i: number) => {
    const wall = plan?.walls[i];
    return wall ? wall.name : String.fromCharCode(65 + (i % 26));
  };
  function add(event: SubmitEvent) {
    event.preventDefault();
    if (length.trim() === '') {
      return;
    }
    room.runs = [
      ...room.runs,
      { id: freeId('w', room.runs), length, turn: room.runs.length === 0 ? 'S' : turn },
    ];
    turn = 'L';
    length = '';
    desk.typing();
    void desk.save();
    field?.focus();
  }

  /** A round floor is walked as two half circles of its diameter. */
  function addRound(event: SubmitEvent) {
    event.preventDefault();
    if (across.trim() === '') {
      return;
    }
    const half = { kind: 'half', side: 'right', measures: [] };
    room.runs = [
      { id: 'w1', length: across, turn: 'S', bow: half },
      { id: 'w2', length: across, turn: 'L 180', bow: { ...half } },
    ];
    across = '';
    desk.typing();
    void desk.save();
  }

  /** One key for a square corner, while nothing is typed yet. */
  function oneKey(event: KeyboardEvent) {
    if (length === '' && /^[lrs]$/i.test(event.key)) {
      event.preventDefault();
      turn = event.key.toUpperCase();
    }
  }

  function takeOut(run: RunForm) {
    room.runs = room.runs.filter((r) => r.id !== run.id);
    void desk.save();
  }

  function bow(run: RunForm, kind: string) {
    if (kind === '') {
      delete run.bow;
    } else {
      const measures = kind === 'half' ? [] : run.bow?.measures.length ? run.bow.measures : [''];
      run.bow = { kind, side: run.bow?.side ?? 'right', measures };
    }
    desk.typing();
    if (kind === '' || kind === 'half') {
      void desk.save();
    }
  }
</script>

<table>
  <thead>
    <tr><th>wall</th><th>turn</th><th>length</th><th>curve</th><td></td></tr>
  </thead>
  <tbody>
    {#each room.runs as run, i (run.id)}
      {@const faults = ['length', 'turn', 'bow.measures[0]', 'bow.measures'].flatMap((f) => {
        const fault = desk.fault(room, `runs[${i}].${f}`);
        return fault ? [fault] : [];
      })}
      <tr
        class:chosen={run.id === chosen}
        class:doubted={plan?.closed.suspects.some((s) => s.id === run.id)}
      >
        <th scope="row">{letter(i)}</th>
        <td
          ><input
            class="turn"
            aria-label="Turn at {letter(i).split('–')[0]}"
            bind:value={run.turn}
            oninput={() => desk.typing()}
            onchange={() => void desk.save()}
            onfocus={() => onchoose(run.id)}
          /></td
        >
        <td
          ><input
            aria-label="Length of {letter(i)}"
            aria-invalid={faults.length > 0}
            bind:value={run.length}
            oninput={() => desk.typing()}
            onchange={() => void desk.save()}
            onfocus={() => onchoose(run.id)}
          /></td
        >
        <td>
          <select
            aria-label="Curve of {letter(i)}"
            value={run.bow?.kind ?? ''}
            onchange={(e) => bow(run, e.currentTarget.value)}
          >
            <option value="">straight</option>
            <option value="half">half circle</option>
            <option value="rise">by rise</option>
            <option value="radius">by radius</option>
            <option value="offsets">by offsets</option>
          </select>
        </td>
        <td
          ><Button kind="quiet" onclick={() => takeOut(run)}
            >Take out<span class="unseen"> {letter(i)}</span></Button
          ></td
        >
      </tr>
      {#if run.bow}
        <tr>
          <td colspan="5">
            <div class="bow">
              <select
                aria-label="Side of the curve of {letter(i)}"
                bind:value={run.bow.side}
                onchange={() => void desk.save()}
              >
                <option value="left">to the left</option>
                <option value="right">to the right</option>
              </select>
              {#if run.bow.kind !== 'half'}
                <input
                  aria-label="{run.bow.kind === 'offsets'
                    ? 'Offsets'
                    : run.bow.kind === 'rise'
                      ? 'Rise'
                      : 'Radius'} of {letter(i)}"
                  placeholder={run.bow.kind === 'offsets' ? '1; 2; 1' : '8"'}
                  value={run.bow.measures.join('; ')}
                  oninput={(e) => {
                    if (run.bow) {
                      run.bow.measures = e.currentTarget.value.split(';').map((m) => m.trim());
                    }
                    desk.typing();
                  }}
                  onchange={() => void desk.save()}
                />
              {/if}
            </div>
          </td>
        </tr>
      {/if}
      {#each faults as fault (fault.field)}
        <tr class="fault"><td></td><td colspan="4">Accepted: {fault.accepted}.</td></tr>
      {/each}
    {/each}
  </tbody>
</table>

<form onsubmit={add}>
  <b>next</b>
  <div class="turns" role="group" aria-label="Turn of the next wall">
    {#each TURNS as { word, means } (word)}
      <button
        type="button"
        aria-pressed={turn === word}
        aria-label={means}
        disabled={room.runs.length === 0}
        onclick={() => {
          turn = word;
          field?.focus();
        }}>{word}</button
      >
    {/each}
    <input
      class="turn"
      aria-label="Any other turn of the next wall"
      placeholder="R 45"
      bind:value={
        () => (TURNS.some((t) => t.word === turn) ? '' : turn), (v) => (turn = v === '' ? 'L' : v)
      }
      disabled={room.runs.length === 0}
    />
  </div>
  <div class="pull">
    <input
      bind:this={field}
      bind:value={length}
      aria-label="Length of the next wall"
      placeholder={desk.units === 'US' ? `12' 4-1/2"` : '3.76 m'}
      onkeydown={oneKey}
    />
    <Button type="submit" kind="main">Add wall</Button>
  </div>
</form>
{#if room.runs.length === 0}
  <form class="round" onsubmit={addRound}>
    <b>or round</b>
    <input
      bind:value={across}
      aria-label="Diameter of a round floor"
      placeholder={desk.units === 'US' ? `16'` : '5 m'}
    />
    <Button type="submit">Add circle</Button>
  </form>
{/if}
<p>
  L and R turn a square corner with one key; L 45 or R 22.5 any other. Walk with the floor on your
  left, and end where you began.
</p>

<style>
  table {
    inline-size: 100%;
    border-collapse: collapse;
  }

  thead th {
    font-size: 13px;
    color: var(--ink-soft);
    font-weight: 500;
    text-align: start;
  }

  tbody th {
    font: 600 18px var(--figures);
    text-align: start;
    white-space: nowrap;
    padding-inline-end: 8px;
  }

  td {
    padding: 2px 6px 2px 0;
  }

  .chosen th {
    color: var(--chalk);
  }

  .doubted th {
    color: var(--stop);
  }

  input,
  select {
    inline-size: 100%;
  }

  .chosen input {
    border-color: var(--chalk);
  }

  .turn {
    inline-size: 58px;
    text-align: center;
  }

  td:nth-child(4) {
    inline-size: 104px;
  }

  td:last-child :global(button) {
    padding: 0 4px;
  }

  .bow {
    display: flex;
    gap: 6px;
    padding-inline-start: 38px;
  }

  .bow select {
    flex: none;
    inline-size: 150px;
  }

  .fault td {
    color: var(--stop);
    font-size: 13px;
    font-weight: 500;
  }

  form {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 8px;
    align-items: center;
    margin-block-start: 8px;
    padding-block-start: 8px;
    border-block-start: 2px solid var(--ink);
  }

  .turns {
    display: flex;
    gap: 6px;
  }

  .turns button {
    min-inline-size: 52px;
    min-block-size: 48px;
    border: 1px solid var(--line-strong);
    border-radius: var(--radius);
    background: none;
    font: 600 20px var(--figures);
    cursor: pointer;
  }

  .turns button[aria-pressed='true']:enabled {
    background: var(--chalk);
    border-color: var(--chalk);
    color: var(--paper);
  }

  .turns .turn {
    inline-size: 76px;
  }

  .pull {
    grid-column: 2;
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 8px;
  }

  form.round {
    grid-template-columns: auto minmax(0, 1fr) auto;
    border-block-start-width: 1px;
  }

  p {
    color: var(--ink-soft);
    font-size: 14px;
    margin-block-start: 6px;
  }
</style>
