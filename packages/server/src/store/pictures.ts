/** Bytes of pictures, kept beside the documents that name them. */
import type { Asset } from '@hovrin/core';
import { and, eq } from 'drizzle-orm';
import type { Db } from './database.ts';
import { assets } from './schema.ts';

export interface StoredPicture {
  readonly type: string;
  readonly bytes: Buffer;
}

export class PictureStore {
  readonly #db: Db;

  constructor(db: Db) {
    this.#db = db;
  }

  /** The picture of a name; undefined where there is none. */
  get(projectId: string, name: string): StoredPicture | undefined {
    const found = this.#db
      .select({ type: assets.type, bytes: assets.bytes })
      .from(assets)
      .where(and(eq(assets.projectId, projectId), eq(assets.name, name)))
      .get();
    return found && { type: found.type, bytes: Buffer.from(found.bytes) };
  }

  /** Keeps a picture; the project's list of pictures is changed by a step. @returns false where its name is taken. */
  put(projectId: string, asset: Asset, bytes: Buffer, db: Pick<Db, 'insert'> = this.#db): boolean {
    return (
      db
        .insert(assets)
        .values({ projectId, ...asset, bytes })
        .onConflictDoNothing()
        .run().changes > 0
    );
  }
}
