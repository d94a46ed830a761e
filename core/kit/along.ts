import type { Foot, Guidance } from './foot';

/** What an edge is led along, for each kind of guidance. */
export const guidanceNames: Readonly<Record<Guidance, string>> = {
  blade: 'blade on the foot',
  bar: 'bar on the foot',
  bed: 'guide on the bed',
  edge: 'edge of the foot',
  mark: 'mark on the foot',
  line: 'drawn line',
  eye: 'by eye',
};

/** The name of what an edge rides along: the foot's own reference, or its kind of guidance. */
export const alongName = ({ reference, guidance }: Pick<Foot, 'reference' | 'guidance'>): string =>
  reference ?? guidanceNames[guidance];
