/** The floors of the house: arrows only point down. */
const floors = ['core', 'contract', 'server', 'web'];
const floor = (name, allowed) => ({
  name: `${name}-looks-down-only`,
  severity: 'error',
  comment: `${name}/ may use ${[name, ...allowed].join(', ')} and no other floor.`,
  from: { path: `^${name}/`, pathNot: '\\.(test|fixture)\\.tsx?$' },
  to: {
    path: `^(${floors.filter((other) => other !== name && !allowed.includes(other)).join('|')})/`,
  },
});

module.exports = {
  forbidden: [
    floor('core', []),
    floor('contract', ['core']),
    floor('server', ['core', 'contract']),
    floor('web', ['core', 'contract']),
    {
      name: 'core-knows-no-platform',
      severity: 'error',
      comment:
        'core/ is pure: of all packages it uses two distributions, a seeded draw, the difference of colours, coded marks and a Fourier transform only.',
      from: { path: '^core/', pathNot: '\\.(test|fixture)\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core', 'npm-no-pkg', 'unknown'],
        pathNot:
          'stdlib/stats-base-dists-(normal-cdf|t-quantile)|node_modules/(seedrandom|culori|js-aruco2|fft\\.js)/',
      },
    },
    {
      name: 'engines-know-no-finish',
      severity: 'error',
      comment:
        'fold/, seam/, margin/, stitch/, kit/, cloth/, measure/ and swatch/ never import a finish.',
      from: {
        path: '^core/(fold|seam|margin|stitch|kit|cloth|measure|swatch)/',
        pathNot: '\\.test\\.ts$',
      },
      to: { path: '^core/(finish|plan)/' },
    },
    {
      name: 'a-finish-is-reached-through-the-catalogue',
      severity: 'error',
      from: { pathNot: '^core/finish/|\\.(test|fixture)\\.tsx?$' },
      to: {
        path: '^core/finish/(?!(as-sewn|catalogue|cautions|dials-clause|finish|fold-plan|fold-request|finish-margin|kit-need|edge-schools|edge-steps|nature|school|sewing-plan|threading|work)\\.ts$)',
      },
    },
    {
      name: 'the-ground-carries',
      severity: 'error',
      comment: 'web/ground/ is stood on: it knows neither the frame nor what stands in it.',
      from: { path: '^web/ground/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^web/(frame|screens|bench|pictures|controls|testing)/' },
    },
    {
      name: 'a-screen-knows-no-frame',
      severity: 'error',
      comment: 'Of the frame only the registry of keys is used by what stands in it.',
      from: { path: '^web/(screens|bench|pictures|controls|words)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^web/frame/(?!keys\\.ts$)' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'shipped-code-uses-no-dev-package',
      severity: 'error',
      from: {
        path: `^(${floors.join('|')})/`,
        pathNot: '\\.(test|fixture)\\.tsx?$|^web/testing/',
      },
      to: { dependencyTypes: ['npm-dev'], dependencyTypesNot: ['type-only'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
