import type { ThreadRecord } from '../../../contract/records';
import { fibres, type Fibre } from '../../../core/cloth/about-cloth';
import { threadUses, type ThreadUse } from '../../../core/kit/thread';
import { change } from '../../ground/records';
import { NoteField } from '../../controls/note-field';
import { NumberField } from '../../controls/number-field';
import { SelectField } from '../../controls/select-field';
import { TextField } from '../../controls/text-field';
import { fibreNames } from '../../words/cloth';
import { threadUseNames } from '../../words/kit';

/** A thread: what it is for, of, and how thick. */
export function ThreadEditor({ thread }: { thread: ThreadRecord }) {
  const set = (patch: Partial<ThreadRecord>) => change('threads', thread.id, patch);
  return (
    <div className="grid max-w-2xl gap-4">
      <TextField label="Thread" value={thread.name} onCommit={(name) => set({ name })} />
      <div className="grid gap-4 sm:grid-cols-2">
        <SelectField
          label="What it is for"
          value={thread.use}
          options={threadUses.map((use) => ({ value: use, label: threadUseNames[use] }))}
          onChange={(use) => set({ use: use as ThreadUse })}
        />
        <SelectField
          label="Fibre"
          value={thread.fibre ?? ''}
          options={[
            { value: '', label: 'not said' },
            ...fibres.map((fibre) => ({ value: fibre, label: fibreNames[fibre] })),
          ]}
          onChange={(fibre) => set({ fibre: (fibre || null) as Fibre | null })}
        />
        <NumberField
          label="A kilometre weighs"
          unit="g (tex)"
          optional
          value={thread.tex}
          refuse={(tex) => (tex >= 1 && tex <= 500 ? null : 'Threads run from 1 to 500 tex.')}
          onCommit={(tex) => set({ tex })}
        />
        <TextField
          label="Colour"
          value={thread.colour || 'not said'}
          most={60}
          onCommit={(colour) => set({ colour: colour === 'not said' ? '' : colour })}
        />
      </div>
      <NoteField
        label="Note"
        value={thread.note}
        most={2000}
        rows={2}
        onCommit={(note) => set({ note })}
      />
    </div>
  );
}
