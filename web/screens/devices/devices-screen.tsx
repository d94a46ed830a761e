import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Smartphone } from 'lucide-react';
import { toDataURL } from 'qrcode';
import { useEffect, useState } from 'react';
import { send } from '../../ground/api';
import { tellTrouble } from '../../ground/records';
import { LoadState } from '../../controls/trouble';
import { Button } from '../../controls/button';

/** What the server says of sharing. */
interface SharingState {
  readonly addresses: readonly string[];
  readonly isPrivate: boolean;
  readonly ownDevice: string | null;
  readonly devices: readonly {
    readonly id: string;
    readonly name: string;
    readonly pairedAt: string;
    readonly seenAt: string;
  }[];
}

interface Code {
  readonly code: string;
  readonly livesMs: number;
}

const day = (at: string) =>
  new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });

/** Six digits and their picture, for as long as they live. */
function Digits({ code, address, onOver }: { code: Code; address: string; onOver(): void }) {
  const [picture, setPicture] = useState<string | null>(null);
  const [leftMs, setLeftMs] = useState(code.livesMs);
  const link = `${address}/pair?code=${code.code}`;
  useEffect(() => {
    void toDataURL(link, { margin: 2, width: 320 }).then(setPicture);
  }, [link]);
  useEffect(() => {
    const started = performance.now();
    const timer = setInterval(() => {
      const left = code.livesMs - (performance.now() - started);
      setLeftMs(left);
      if (left <= 0) onOver();
    }, 500);
    return () => clearInterval(timer);
  }, [code, onOver]);
  const seconds = Math.max(0, Math.round(leftMs / 1000));
  return (
    <div className="flex flex-wrap items-center gap-6">
      {picture && (
        <img
          src={picture}
          alt={`A code to be read by a phone’s camera: ${link}`}
          className="size-56 border border-line"
        />
      )}
      <div>
        <p className="big-number text-6xl tracking-widest" data-testid="pairing code">
          {code.code.slice(0, 3)} {code.code.slice(3)}
        </p>
        <p className="text-lg">
          or open <b>{address}</b> on the device
        </p>
        <p className="text-soft" role="timer">
          works once, for {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')} more
        </p>
      </div>
    </div>
  );
}

/** The devices of the home network that may come in, and letting another one in. */
export function DevicesScreen() {
  const cache = useQueryClient();
  const [code, setCode] = useState<(Code & { readonly knownBefore: number }) | null>(null);
  const [over] = useState(() => () => setCode(null));
  const sharing = useQuery({
    queryKey: ['sharing'],
    queryFn: () => send<SharingState>('GET', 'sharing'),
    // A device pairs while this is looked at.
    refetchInterval: code ? 2000 : false,
  });
  const known = sharing.data?.devices.length ?? 0;
  // Whoever came in by these digits is on the list, and they are used up.
  const standing = code && known <= code.knownBefore ? code : null;
  const make = useMutation({
    mutationFn: () => send<Code>('POST', 'sharing/code'),
    onSuccess: (made) => setCode({ ...made, knownBefore: known }),
    onError: tellTrouble,
  });
  const remove = useMutation({
    mutationFn: (id: string) => send('DELETE', `sharing/devices/${id}`),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['sharing'] }),
    onError: tellTrouble,
  });
  if (!sharing.data) return <LoadState what="list of devices" error={sharing.error} />;
  const { addresses, isPrivate, ownDevice, devices } = sharing.data;
  const [address] = addresses;
  return (
    <main className="mx-auto grid w-full max-w-4xl content-start gap-5 overflow-y-auto p-4 md:p-6">
      <h1 className="text-3xl">Devices</h1>
      {ownDevice !== null ? (
        <p className="sheet p-4 text-lg">
          This device is paired. Others are let in and taken away at the computer itself.
        </p>
      ) : address === undefined ? (
        <div className="sheet grid gap-2 p-4">
          <p className="text-lg">Nothing is shared: only this computer reaches the app.</p>
          <p>
            To have a phone beside the machine, stop the app and start it with{' '}
            <code className="rounded-[3px] bg-cloth px-1.5 py-0.5 font-bold">
              npm start -- --share
            </code>
            . Nobody comes in without digits that stand here.
          </p>
        </div>
      ) : (
        <section aria-label="Pair a device" className="sheet grid justify-items-start gap-3 p-4">
          {standing ? (
            <Digits code={standing} address={address} onOver={over} />
          ) : (
            <Button look="solid" disabled={make.isPending} onClick={() => make.mutate()}>
              <Smartphone size={18} aria-hidden /> Pair a device
            </Button>
          )}
          <p className={isPrivate ? 'text-soft' : 'text-ochre'}>
            {isPrivate
              ? 'What goes between a device and this computer is encrypted.'
              : '! Not encrypted: whoever is on the same home network could listen. README says how to use a certificate of your own.'}
          </p>
        </section>
      )}
      <section aria-label="Paired devices">
        <h2 className="mb-1 text-xl">Paired</h2>
        {devices.length === 0 ? (
          <p className="text-soft">No device yet.</p>
        ) : (
          <ul className="sheet">
            {devices.map(({ id, name, pairedAt, seenAt }) => (
              <li
                key={id}
                className="flex flex-wrap items-center gap-3 border-b border-line px-4 py-2 last:border-0"
              >
                <span className="min-w-0 grow">
                  <b className="block break-words">{name}</b>
                  <span className="text-sm text-soft">
                    paired {day(pairedAt)}, seen {day(seenAt)}
                  </span>
                </span>
                {ownDevice === null && (
                  <Button
                    look="danger"
                    aria-label={`Take ${name} away`}
                    disabled={remove.isPending}
                    onClick={() => remove.mutate(id)}
                  >
                    Take away
                  </Button>
                )}
              </li>
            ))}
          </ul>
        )}
      </section>
    </main>
  );
}
