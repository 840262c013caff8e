import type { S3Client } from '@aws-sdk/client-s3';
import { SketchError } from '../errors.ts';
import { openFolder, type Store } from 'frame-juggler/node';
import { optionalPackage } from './optional.ts';

/**
 * Opens a store: a folder that all machines share, or `s3://BUCKET/PREFIX` for object storage.
 * @throws SketchError where it cannot be reached
 */
export async function openStore(place: string): Promise<Store> {
  if (place.startsWith('s3://')) return openBucket(place);
  if (/^\w+:\/\//.test(place))
    throw new SketchError({ problem: `${place} is no store`, expected: 'expected a folder, or s3://BUCKET/PREFIX' });
  return openFolder(place);
}

/** A folder of a store, as a store of its own. */
export function folderOf(store: Store, folder: string): Store {
  return {
    put: (name, bytes) => store.put(folder + name, bytes),
    get: (name) => store.get(folder + name),
    list: async (inside) => (await store.list(folder + inside)).map((name) => name.slice(folder.length)),
    remove: (name) => store.remove(folder + name),
  };
}

async function openBucket(place: string): Promise<Store> {
  const [, bucket, prefix = ''] = /^s3:\/\/([^/]+)\/?(.*?)\/?$/.exec(place) ?? [];
  if (bucket === undefined)
    throw new SketchError({ problem: `${place} is no store`, expected: 'expected s3://BUCKET/PREFIX' });
  // It has a warning about the Node it would like to have in years to come, in the middle of what we say.
  process.env.AWS_SDK_JS_NODE_VERSION_SUPPORT_WARNING_DISABLED ??= 'true';
  const s3 = await optionalPackage(() => import('@aws-sdk/client-s3'), '@aws-sdk/client-s3', 'a store of s3://');
  const endpoint = process.env.AWS_ENDPOINT_URL_S3 ?? process.env.AWS_ENDPOINT_URL;
  // Where it is and whose it is comes from the environment and the usual files; a server of one's own has no names of hosts for buckets.
  const client: S3Client = new s3.S3Client({ ...(endpoint !== undefined && { endpoint, forcePathStyle: true }) });
  const keyOf = (name: string): string => (prefix === '' ? name : `${prefix}/${name}`);
  const guarded = async <T>(work: () => Promise<T>): Promise<T> => {
    try {
      return await work();
    } catch (error) {
      const { name, message } = error as Error;
      throw new SketchError({ problem: `the store ${place} cannot be used: ${message || name}` });
    }
  };
  const keysOf = async (start: string): Promise<string[]> => {
    const keys: string[] = [];
    let next: string | undefined;
    do {
      const page = await client.send(
        new s3.ListObjectsV2Command({
          Bucket: bucket,
          Prefix: start,
          ...(next !== undefined && { ContinuationToken: next }),
        }),
      );
      keys.push(...(page.Contents ?? []).map(({ Key }) => Key!));
      next = page.NextContinuationToken;
    } while (next !== undefined);
    return keys;
  };
  await guarded(() => client.send(new s3.HeadBucketCommand({ Bucket: bucket })));
  return {
    put: (name, bytes) =>
      guarded(async () => {
        await client.send(new s3.PutObjectCommand({ Bucket: bucket, Key: keyOf(name), Body: bytes }));
      }),
    get: (name) =>
      guarded(async () => {
        try {
          const { Body } = await client.send(new s3.GetObjectCommand({ Bucket: bucket, Key: keyOf(name) }));
          return await Body!.transformToByteArray();
        } catch (error) {
          if ((error as Error).name === 'NoSuchKey') return undefined;
          throw error;
        }
      }),
    list: (start) => guarded(async () => (await keysOf(keyOf(start))).map((key) => key.slice(keyOf('').length))),
    remove: (start) =>
      guarded(async () => {
        for (const Key of await keysOf(keyOf(start)))
          await client.send(new s3.DeleteObjectCommand({ Bucket: bucket, Key }));
      }),
  };
}
