import { format, parseISO } from 'date-fns';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { finishById } from '../../../core/finish/catalogue';
import { sewSwatch, type Swatch } from '../../../core/swatch/swatch';
import type { AttemptRecord } from '../../../contract/records';
import type { Lengths } from '../../../core/measure/lengths';
import { ScrapStrip } from '../../pictures/scrap-strip';
import { countsInWords } from '../../words/counts';
import { dialName } from '../../words/dials';
import { finishName } from '../../words/finishes';
import { setValuesInWords } from '../../words/set-values';
import { symptomName } from '../../words/symptoms';
import { verdictWords } from '../../words/verdicts';
import { entryDrawing } from './entry-swatch';

const style = `
  body { margin: 2rem auto; max-width: 46rem; padding: 0 1rem; background: var(--color-bed); color: var(--color-graphite);
    font: 1.05rem/1.5 'Atkinson Hyperlegible', Verdana, sans-serif; }
  h1 { font: 600 1.9rem/1.2 Vollkorn, Georgia, serif; margin: 0 0 .25rem; }
  p { margin: .25rem 0; } .soft { color: var(--color-soft); }
  dl { display: grid; grid-template-columns: 12rem 1fr; gap: .25rem 1rem; margin: 1rem 0; }
  dt { color: var(--color-soft); } dd { margin: 0; font-weight: bold; font-variant-numeric: tabular-nums; }
  figure { margin: 1rem 0; } svg, img { max-width: 100%; height: auto; }
  @media print { body { background: #fff; margin: 0; } }
`;

interface SharePageProps {
  readonly entry: AttemptRecord;
  readonly lengths: Lengths;
  /** Its photos, as data addresses. */
  readonly photos: readonly { readonly of: string; readonly address: string }[];
}

/** One scrap on a page of its own that needs nothing else: to be sent, kept or printed. */
function SharePage({ entry, lengths, photos }: SharePageProps) {
  const { settings, setUp, names, verdict, symptoms, note } = entry;
  const drawing = entryDrawing(entry);
  const title = `${finishName(entry.finish, setUp.fold.variant)}: ${names.cloth}`;
  const predicted = drawing && predictedSwatch(drawing, entry.number);
  const starting = finishById(entry.finish);
  const { fine } = lengths;
  const lines: [string, string][] = [
    ['Cloth', `${names.cloth}, ${fine(setUp.cloth.thicknessMm)} thick`],
    ['Machine', names.machine],
    ['Foot', names.foot],
    ...(settings
      ? ([
          [dialName('width', setUp.foot.guidance), fine(settings.widthMm)],
          [dialName('length', setUp.foot.guidance), fine(settings.lengthMm)],
          ['Needle position', fine(settings.needlePositionMm)],
          [dialName('guide', setUp.foot.guidance), fine(settings.guideMm)],
        ] as [string, string][])
      : []),
    ...setValuesInWords(entry, lengths).map(([name, value]): [string, string] => [name, value]),
    ['Counted', countsInWords(entry)],
    ...(symptoms.length > 0
      ? [['Seen', symptoms.map(symptomName).join(', ')] as [string, string]]
      : []),
    ...(verdict ? [['Verdict', verdictWords[verdict].name] as [string, string]] : []),
  ];
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width" />
        <title>{title}</title>
        <style dangerouslySetInnerHTML={{ __html: style }} />
      </head>
      <body>
        <h1>{title}</h1>
        <p className="soft">
          {starting?.about} Scrap {entry.number}, sewn{' '}
          {format(parseISO(entry.sewnOn ?? entry.createdAt), 'd MMMM yyyy')}.
        </p>
        {drawing && predicted && (
          <>
            <Faces entry={entry} drawing={{ ...drawing, swatch: predicted }} of="predicted">
              As a steady hand was to be expected to sew it, by the starting guess.
            </Faces>
            <Faces entry={entry} drawing={drawing} of="counted">
              As it was counted: {countsInWords(entry)}. Above, the side that was up; below, the
              other. {lengths.cloth(drawing.swatch.lengthMm)} of seam, ringed is at fault.
            </Faces>
          </>
        )}
        <dl>
          {lines.map(([name, value]) => (
            <div key={name} style={{ display: 'contents' }}>
              <dt>{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
        {note && <p>{note}</p>}
        {photos.map(({ of, address }) => (
          <figure key={of}>
            <img src={address} alt={`Photo of ${of}`} />
          </figure>
        ))}
        <p className="soft">A test scrap: sew your own before you trust it.</p>
      </body>
    </html>
  );
}

type Drawing = NonNullable<ReturnType<typeof entryDrawing>>;

/** What the setting was to be expected to sew, over the same length. */
function predictedSwatch({ set, margin, plan, dials, swatch }: Drawing, seed: number): Swatch {
  const [first] = margin.references(plan, dials);
  return sewSwatch(set, dials, first, swatch.lengthMm + 1e-6, seed);
}

/** Both faces of one swatch, with what they show. */
function Faces(props: {
  entry: AttemptRecord;
  drawing: Drawing;
  of: 'predicted' | 'counted';
  children: ReactNode;
}) {
  const { entry, drawing, of, children } = props;
  return (
    <figure>
      <ScrapStrip
        {...drawing}
        id={of}
        widthPx={720}
        heightPx={72}
        label={`Both faces, ${of}: scrap ${entry.number}`}
      />
      <figcaption className="soft">{children}</figcaption>
    </figure>
  );
}

/** A photo as a data address, so that the page carries it. */
async function addressOf(id: string): Promise<string> {
  const blob = await (await fetch(`/api/photos/${id}`)).blob();
  return new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.onerror = () => failed(new Error('The photo could not be read.'));
    reader.readAsDataURL(blob);
  });
}

/** The page as one HTML file. */
export async function sharePage(entry: AttemptRecord, lengths: Lengths): Promise<string> {
  const { number, photoId, otherFacePhotoId } = entry;
  const kept = [
    { of: `scrap ${number}`, id: photoId },
    { of: `the other face of scrap ${number}`, id: otherFacePhotoId },
  ].flatMap(({ of, id }) => (id ? [{ of, id }] : []));
  const photos = await Promise.all(
    kept.map(async ({ of, id }) => ({ of, address: await addressOf(id) })),
  );
  return `<!doctype html>${renderToStaticMarkup(
    <SharePage entry={entry} lengths={lengths} photos={photos} />,
  )}`;
}
