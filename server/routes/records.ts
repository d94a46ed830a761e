import { Router, type Request } from 'express';
import * as z from 'zod';
import { recordTables, singular, type RecordTable } from '../database/models';
import type { RowOf } from '../database/rows';
import { mostListed, totalHeader } from '../../contract/headers';
import { authorOf } from '../http/author';
import { Refusal, notFound, parseBody } from '../http/refusal';
import type { Created } from '../store/change';
import { removeWhole, resources, type Resource } from '../store/resources';
import type { Store } from '../store/store';

const version = z.int({ error: 'Send the version you have, a whole number.' });

/** Which part of a list is asked for; a list is never answered whole, however long it gets. */
const pageQuery = z.strictObject({
  limit: z.coerce.number().int().min(1).max(mostListed).default(mostListed),
  offset: z.coerce.number().int().min(0).max(10_000_000).default(0),
});

/** The kind of record an address names; undefined where it names none. */
function known(request: Request): Resource | undefined {
  const name = recordTables.find((table) => table === request.params['resource']);
  return name && resources[name];
}

function resourceOf(request: Request): Resource {
  const resource = known(request);
  if (!resource) throw notFound('kind of record', String(request.params['resource']));
  return resource;
}

function shown(resource: Resource, row: RowOf): Record<string, unknown> {
  return { ...row, ...resource.present?.(row) };
}

function filtersOf(resource: Resource, query: Record<string, unknown>): Record<string, string> {
  for (const [name, value] of Object.entries(query)) {
    if (resource.filters.includes(name) && typeof value === 'string') continue;
    const message = `“${name}” does not narrow this list; ${resource.filters.join(', ') || 'nothing'} does.`;
    throw new Refusal(400, 'invalid-request', message, [{ path: name, message }]);
  }
  return query as Record<string, string>;
}

/** A short name for the journal: what was changed, in the words of the record. */
function labelOf(verb: string, resource: Resource, row: RowOf, fields: readonly string[] = []) {
  const named = 'name' in row ? ` “${row.name}”` : 'number' in row ? ` ${row.number}` : '';
  const about = fields.length > 0 ? `: ${fields.join(', ')}` : '';
  const noun = resource.table === 'attempts' ? 'scrap' : singular[resource.table];
  return `${verb} ${noun}${named}${about}`;
}

/** Reading of every kind of record, one or a list; whatever else is asked for goes on. */
export function recordReading(store: Store): Router {
  const router = Router();

  router.get('/:resource/:id', async (request, response, next) => {
    const resource = known(request);
    if (!resource) return next();
    response.json(shown(resource, await store.find(resource.table, request.params.id)));
  });

  router.get('/:resource', async (request, response, next) => {
    const resource = known(request);
    if (!resource) return next();
    const { limit, offset, ...narrowed } = request.query;
    const page = parseBody(pageQuery, { limit, offset });
    const filters = filtersOf(resource, narrowed);
    const [rows, total] = await Promise.all([
      store.list(resource.table, filters, page),
      store.count(resource.table, filters),
    ]);
    response.set(totalHeader, String(total));
    response.json(rows.map((row) => shown(resource, row)));
  });
  return router;
}

/** Creating, changing and removing of every kind of record. */
export function recordRoutes(store: Store): Router {
  const router = Router();

  router.get(['/:resource', '/:resource/:id'], (request) => {
    throw notFound('kind of record', String(request.params['resource']));
  });

  router.post('/:resource', async (request, response) => {
    const resource = resourceOf(request);
    if (!resource.creatable) {
      throw new Refusal(405, 'not-allowed', `${resource.table} can be changed, not created.`);
    }
    const draft = parseBody(resource.draft, request.body);
    const { row, existed } = await store.change<Created<RecordTable>>(
      ({ row: created }) => labelOf('new', resource, created),
      (change) => resource.create(change, draft),
      authorOf(request),
    );
    response.status(existed ? 200 : 201).json(shown(resource, row));
  });

  router.patch('/:resource/:id', async (request, response) => {
    const resource = resourceOf(request);
    const { id } = request.params;
    const pick = Object.fromEntries(
      resource.patchable.map((field) => [field, true as const]),
    ) as Record<never, true>;
    const schema = resource.draft.pick(pick).partial().extend({ version });
    const { version: expected, ...parsed } = parseBody(schema, request.body);
    // What a new record starts with is no change of one that is there.
    const fields = Object.keys(parsed).filter((field) =>
      Object.hasOwn(request.body as object, field),
    );
    const patch = Object.fromEntries(fields.map((field) => [field, parsed[field as never]]));
    if (fields.length === 0) {
      throw new Refusal(
        400,
        'invalid-request',
        `Name what to change: ${resource.patchable.join(', ')}.`,
      );
    }
    const row = await store.change<RowOf>(
      (changed) => labelOf('change', resource, changed, fields),
      async (change) => {
        const before = await change.current(resource.table, id, expected);
        const whole = { ...patch, ...resource.follows?.({ ...before, ...patch }, fields) };
        await resource.check?.(change, { ...before, ...whole }, fields);
        const after = await change.update(resource.table, id, before.version, whole);
        await resource.changed?.(change, after, fields);
        return after;
      },
      authorOf(request),
    );
    response.json(shown(resource, row));
  });

  router.delete('/:resource/:id', async (request, response) => {
    const resource = resourceOf(request);
    if (!resource.creatable) {
      throw new Refusal(405, 'not-allowed', `${resource.table} can be changed, not removed.`);
    }
    const { id } = request.params;
    const given = version.safeParse(Number(request.query['version'] ?? NaN));
    if (!given.success) {
      const message = 'Send the version you have, as ?version=3.';
      throw new Refusal(400, 'invalid-request', message, [{ path: 'version', message }]);
    }
    await store.change<RowOf>(
      (row) => labelOf('remove', resource, row),
      async (change) => {
        const row = await change.current(resource.table, id, given.data);
        await removeWhole(change, resource, id, given.data);
        return row;
      },
      authorOf(request),
    );
    response.status(204).end();
  });

  return router;
}
