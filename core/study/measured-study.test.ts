import { evenDraws } from '../swatch/draw';
import { measuredStudy } from './measured-study';
import { settings } from './study-run';

test('half as many stitches, measured, tell as much as a scrap that was counted', () => {
  for (const setting of settings.slice(2)) {
    const it = measuredStudy(setting, 8, evenDraws(3));
    expect(it.asSure).toBeLessThanOrEqual(it.counted / 2);
    expect(it.measuredWidthMm).toBeLessThan(it.countedWidthMm);
    // Nine of ten on the long run; of eight, one may be outside by chance, or two.
    expect(it.heldByHalf).toBeGreaterThanOrEqual(0.75);
  }
});
