import { within } from '@testing-library/react';
import type { EdgeRecord, PlanRecord } from '../../../contract/records';
import {
  TestApp,
  button,
  choose,
  click,
  enter,
  mainText,
  screen,
  undo,
  waitFor,
} from '../../testing/test-app';

const app = new TestApp();
beforeAll(() => app.start());
afterEach(() => app.reset());

const link = (name: RegExp) => screen.findByRole('link', { name });
const field = (name: string | RegExp) => screen.findByLabelText<HTMLInputElement>(name);
const slip = () => screen.findByRole('complementary');

describe('the edge', () => {
  test('a curve too tight for the hem says how deep it can be', async () => {
    await app.open('/edges/edge-cape/edge');
    await screen.findByText(/3\.4 % fuller/);
    await enter(await field('Radius of its tightest curve'), '300 mm');
    await screen.findByText(/30\.8 % fuller/);
    expect(mainText()).toContain('a hem can be 8.7 mm deep');
    await enter(await field('Radius of its tightest curve'), '');
    await waitFor(() => expect(mainText()).not.toContain('longer than where it lands'));
    await waitFor(async () =>
      expect((await app.read<EdgeRecord>('edges/edge-cape')).minRadiusMm).toBeNull(),
    );
  });

  test('a purpose that the planned finish does not serve: kept, said, and the list opened', async () => {
    await app.open('/edges/edge-cape/edge');
    await click(within(await slip()).findByRole('radio', { name: 'Allowance' }));
    await waitFor(() => expect(mainText()).toContain('Blind hem, flat edge is planned and kept'));
    const list = screen.getByRole('list', { name: /best first/ });
    const [first] = within(list).getAllByRole('listitem');
    expect(first?.textContent).toMatch(/Serged|Overcast|Pinked|Bound/);
    expect((await app.read<PlanRecord>('plans/plan-cape')).finish).toBe('blind-hem');
    await undo();
    await waitFor(() => expect(mainText()).not.toContain('is planned and kept'));
  });
});

describe('the finish', () => {
  test('turning a dial of a proposal takes it, and one undo gives both back', async () => {
    const edge = await app.send<EdgeRecord>('POST', 'edges', {
      ...{ projectId: 'project-lantern-parade', name: 'Banner', on: 'banner' },
      ...{ clothId: 'cloth-linen', shape: 'straight', lengthMm: 900, minRadiusMm: null },
      ...{ turnDegrees: null, passesOverMm: null, crossings: [] },
    });
    const finish = async () => (await app.read<PlanRecord[]>(`plans?edgeId=${edge.id}`))[0]?.finish;
    await app.open(`/edges/${edge.id}/setting`);
    await screen.findByRole('region', { name: 'A proposal' });
    await click(button('Length one step more'));
    await waitFor(async () => expect(await finish()).not.toBeNull());
    await undo();
    await waitFor(async () => expect(await finish()).toBeNull());
  });

  test('the way the raw edge is held is changed with its allowance', async () => {
    await app.open('/edges/edge-cape/finish');
    const row = () => screen.findByRole('button', { name: /^Blind hem/, pressed: true });
    expect((await row()).textContent).toContain('48 mm');
    await click(screen.findByRole('radio', { name: /edge turned in/ }));
    await waitFor(() => expect(mainText()).toContain('60 mm'));
    await click(button('Take blind hem, edge turned in'));
    await link(/Finish ?Blind hem, edge turned in/);
    await click(button('On to the folds'));
    await waitFor(() =>
      expect(screen.getByLabelText<HTMLInputElement>('Turn under').value).toBe('12'),
    );
  });

  test('a school chosen once is the default on the next edge', async () => {
    await app.open('/edges/edge-trousers/finish');
    await click(within(await slip()).findByRole('radio', { name: 'From the right side' }));
    await app.open('/edges/edge-tabard/finish?look=single-hem.overcast');
    await screen.findByRole('radio', { name: /^From the right side/, checked: true });
  });

  test('two or three are held side by side', async () => {
    await app.open('/edges/edge-cape/finish');
    const tick = async (name: RegExp) => {
      await click(screen.findByRole('checkbox', { name }));
      await screen.findByRole('checkbox', { name, checked: true });
    };
    await tick(/^Compare Blind hem, flat edge/);
    expect(await button('Compare')).toHaveProperty('disabled', true);
    await tick(/^Compare Double turned hem/);
    await tick(/^Compare Serged edge/);
    await click(button('Compare 3'));
    const row = (name: RegExp) => screen.findByRole('row', { name });
    expect((await row(/^Allowance/)).textContent).toContain('48 mm');
    expect((await row(/^Layers at the stitch/)).textContent).toContain('3');
    expect((await row(/^Stack over/)).textContent).toContain('4.2 mm');
    choose(await field('Over'), 'felled');
    expect((await row(/^Stack over a felled seam/)).textContent).toContain('8.4 mm');
  });

  test('the cloth slip speaks of the one that is planned', async () => {
    await app.open('/edges/edge-trousers/cloth');
    await screen.findByRole('heading', { name: /For this finish: jeans hem/ });
    expect((await slip()).textContent).not.toMatch(/bite|Infinity/);
  });
});

describe('the folds', () => {
  test('the gauge opens as PDF and SVG', async () => {
    await app.open('/edges/edge-shirt/folds');
    for (const name of ['PDF, A4', 'PDF, Letter', 'SVG, A4', 'SVG, Letter']) {
      const gauge = await screen.findByRole('link', { name });
      const answer = await fetch(gauge.getAttribute('href') ?? '');
      expect(answer.status).toBe(200);
      const kind = name.startsWith('PDF') ? 'pdf' : 'svg';
      expect(answer.headers.get('content-type')).toContain(kind);
    }
  });
});

describe('the setting', () => {
  test('under the foot the picture is to scale: holes a width apart on the ruler', async () => {
    await app.open('/edges/edge-tabard/setting');
    const picture = await screen.findByRole('img', { name: 'View under the foot, to scale' });
    const table = screen.getByRole('table', { name: 'Under the foot, in numbers' });
    const number = (name: string) => {
      const head = within(table).getByRole('rowheader', { name });
      return parseFloat((head.nextSibling?.textContent ?? '').replace('−', '-'));
    };
    const width = Number((await field('Width')).value);
    await waitFor(() => expect(number('to') - number('Needle swings from')).toBeCloseTo(width, 2));
    // The swing on the ruler: as long as the width, in the scale of the ruler's own ticks.
    const swing = picture.querySelector('[data-part=swing]');
    const bar = Number(swing?.getAttribute('x2')) - Number(swing?.getAttribute('x1'));
    const ticks = [...picture.querySelectorAll('text')]
      .map((text) => [text.textContent ?? '', Number(text.getAttribute('x'))] as const)
      .filter(([text]) => /^[−-]?\d+$/.test(text));
    // The bed's ruler comes first; the lens has one of its own.
    const zero = ticks.findIndex(([text]) => text === '0');
    const [[, from], [next, to]] = [ticks[zero]!, ticks[zero + 1]!];
    expect(bar / ((to - from) / Number(next))).toBeCloseTo(width, 1);
  });
});
