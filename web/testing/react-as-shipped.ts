import type * as ReactModule from 'react';
import type * as ReactDomModule from 'react-dom';

// React as people have it: the one for development notes a stack for every element it makes, which
// is a fifth of the time of these tests. Before anything asks for React.
process.env.NODE_ENV = 'production';

const react = jest.requireActual<typeof ReactModule>('react');
const { flushSync } = jest.requireActual<typeof ReactDomModule>('react-dom');

/** The shipped one has no `act`: what was done is on the page when it returns. */
Object.assign(react, {
  act<T>(work: () => T): T {
    let result: { it: T } | undefined;
    flushSync(() => {
      result = { it: work() };
    });
    return (result as { it: T }).it;
  },
});
