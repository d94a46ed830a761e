import type { Section } from '../../core/fold/section';
import { pageSizesMm, type PageSize } from '../../core/fold/gauge';
import { beginPdf } from './pdf';

/** A step as it stands on the sheet. */
export interface PrintedStep {
  readonly text: string;
  /** Where it is done, and what is changed before. */
  readonly beside: string;
  readonly done: boolean;
  readonly section: Section | null;
}

/** Steps under a heading: an edge, or a visit to a place. */
export interface PrintedPart {
  readonly heading: string;
  /** Cloth, machine, dials: a line each. */
  readonly facts: readonly string[];
  readonly steps: readonly PrintedStep[];
}

/** The work on an edge or a garment, on paper. */
export interface PrintedWork {
  readonly title: string;
  readonly cautions: readonly string[];
  readonly parts: readonly PrintedPart[];
  /** What is counted on a scrap, and the words for what goes wrong; null where nothing is. */
  readonly scrap: {
    readonly counted: string;
    readonly short: string;
    readonly over: string | null;
  } | null;
}

const ptPerMm = 72 / 25.4;
const marginMm = 15;
const boxMm = 4.5;
const pictureMm = [46, 14] as const;
/** A section is drawn no larger than this, so that a narrow hem is no beam. */
const mostTimes = 2;

type Document = PDFKit.PDFDocument;

/** A section into a box, to scale, with the cloth as thick as it is. */
function drawSection(document: Document, section: Section, xMm: number, yMm: number): void {
  const [left, right] = section.widthMm;
  const times = Math.min(
    mostTimes,
    pictureMm[0] / Math.max(1, right - left),
    pictureMm[1] / Math.max(1, section.heightMm),
  );
  const x = (mm: number) => (xMm + (mm - left) * times) * ptPerMm;
  const y = (mm: number) => (yMm + pictureMm[1] - mm * times) * ptPerMm;
  for (const { centreLine, thicknessMm } of section.legs) {
    const [first, ...rest] = centreLine;
    if (!first) continue;
    document.moveTo(x(first.xMm), y(first.zMm));
    for (const point of rest) document.lineTo(x(point.xMm), y(point.zMm));
    document.lineWidth(Math.max(0.6, thicknessMm * times * ptPerMm * 0.8)).stroke('#888');
  }
}

/** A card to write a scrap down on, with room for its counts. */
function drawScrapCard(
  document: Document,
  scrap: NonNullable<PrintedWork['scrap']>,
  number: number,
  [xMm, yMm]: readonly [number, number],
  wideMm: number,
): void {
  const at = (mm: number) => mm * ptPerMm;
  document.lineWidth(0.7).rect(at(xMm), at(yMm), at(wideMm), at(scrapCardMm)).stroke('#000');
  const rows = [
    ['width', 'length', 'needle'],
    [scrap.counted, scrap.short, ...(scrap.over === null ? [] : [scrap.over])],
  ];
  document.fontSize(10).text(`Scrap ${number}`, at(xMm + 3), at(yMm + 2.5), { lineBreak: false });
  rows.forEach((names, row) => {
    const each = (wideMm - 6) / names.length;
    names.forEach((name, i) => {
      const [x, y] = [xMm + 3 + i * each, yMm + 8 + row * 15];
      document
        .lineWidth(0.5)
        .rect(at(x), at(y + 4), at(each - 3), at(8))
        .stroke('#000');
      document.fontSize(7.5).text(name, at(x), at(y), {
        ...{ width: at(each - 3), height: at(4), ellipsis: true, lineBreak: false },
      });
    });
  });
}

const scrapCardMm = 40;

/**
 * The work as a PDF of as many pages as it takes: boxes to tick, the fold of a step beside it,
 * cautions once, and cards to write scraps down on.
 */
export async function workSheetPdf(
  work: PrintedWork,
  page: PageSize,
  fontFile: string,
): Promise<Buffer> {
  const [wideMm, highMm] = pageSizesMm[page];
  const options = {
    size: [wideMm * ptPerMm, highMm * ptPerMm],
    margins: { top: 0, bottom: 0, left: 0, right: 0 },
    autoFirstPage: true,
    bufferPages: true,
    info: { Title: work.title },
  };
  const { document, bytes } = await beginPdf(options, fontFile);
  document.fillColor('#000');
  const textMm = wideMm - 2 * marginMm;
  let yMm = marginMm;
  const room = (mm: number) => {
    if (yMm + mm <= highMm - marginMm) return;
    document.addPage();
    yMm = marginMm;
  };
  const high = (text: string, size: number, mm: number) =>
    document.fontSize(size).heightOfString(text, { width: mm * ptPerMm }) / ptPerMm;
  const write = (text: string, size: number, xMm = marginMm, mm = textMm) => {
    const needed = high(text, size, mm);
    room(needed);
    document.text(text, xMm * ptPerMm, yMm * ptPerMm, { width: mm * ptPerMm });
    yMm += needed + 1;
  };
  write(work.title, 20);
  yMm += 1;
  for (const caution of work.cautions) write(`! ${caution}`, 9);
  for (const { heading, facts, steps } of work.parts) {
    room(22);
    yMm += 4;
    write(heading, 14);
    for (const fact of facts) write(fact, 9.5);
    yMm += 1;
    for (const { text, beside, done: ticked, section } of steps) {
      const wide = textMm - boxMm - 4 - (section ? pictureMm[0] + 4 : 0);
      const needed = Math.max(
        high(text, 11, wide) + high(beside, 8.5, wide) + 1,
        section ? pictureMm[1] : boxMm,
      );
      room(needed + 2);
      document
        .lineWidth(0.9)
        .rect(marginMm * ptPerMm, (yMm + 0.6) * ptPerMm, boxMm * ptPerMm, boxMm * ptPerMm)
        .stroke('#000');
      if (ticked) {
        const [x, y] = [marginMm * ptPerMm, (yMm + 0.6) * ptPerMm];
        document
          .moveTo(x + 3, y + 6)
          .lineTo(x + 6, y + 10)
          .lineTo(x + 11, y + 2)
          .stroke('#000');
      }
      const x = marginMm + boxMm + 4;
      const top = yMm;
      document.fontSize(11).text(text, x * ptPerMm, yMm * ptPerMm, { width: wide * ptPerMm });
      const under = top + high(text, 11, wide);
      document.fontSize(8.5).text(beside, x * ptPerMm, under * ptPerMm, { width: wide * ptPerMm });
      if (section) drawSection(document, section, wideMm - marginMm - pictureMm[0], top);
      yMm = top + needed + 2.5;
    }
  }
  if (work.scrap) {
    const { scrap } = work;
    const cardMm = (textMm - 6) / 2;
    for (let i = 0; i < 4; i += 2) {
      room(scrapCardMm + 6);
      yMm += 4;
      drawScrapCard(document, scrap, i + 1, [marginMm, yMm], cardMm);
      drawScrapCard(document, scrap, i + 2, [marginMm + cardMm + 6, yMm], cardMm);
      yMm += scrapCardMm;
    }
  }
  const { start, count } = document.bufferedPageRange();
  for (let i = start; i < start + count; i++) {
    document.switchToPage(i);
    document
      .fontSize(8)
      .text(`${work.title} · ${i + 1} of ${count}`, marginMm * ptPerMm, (highMm - 9) * ptPerMm, {
        lineBreak: false,
      });
  }
  document.end();
  return bytes;
}
