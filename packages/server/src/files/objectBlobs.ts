import type { ListObjectsV2CommandOutput } from '@aws-sdk/client-s3';
import type { ObjectStore } from '../config/settings.ts';
import type { Blobs } from './blobs.ts';

const NOT_THERE = 404;
const ANSWERS_WITHIN_MS = 10_000;

/** In an object store that speaks the S3 protocol. What does not go right after three attempts is thrown. */
export async function objectBlobs({
  bucket,
  prefix,
  endpoint,
  region,
  key,
}: ObjectStore): Promise<Blobs> {
  // Not read where photos lie in a folder: it is large.
  const s3 = await import('@aws-sdk/client-s3');
  const client = new s3.S3Client({
    region,
    ...(endpoint === undefined ? {} : { endpoint, forcePathStyle: true }),
    ...(key ? { credentials: { accessKeyId: key.id, secretAccessKey: key.secret } } : {}),
    requestHandler: { requestTimeout: ANSWERS_WITHIN_MS, connectionTimeout: ANSWERS_WITHIN_MS },
    // What came later to the protocol is not known to every store.
    requestChecksumCalculation: 'WHEN_REQUIRED',
    responseChecksumValidation: 'WHEN_REQUIRED',
  });
  const root = prefix === '' ? '' : `${prefix}/`;
  const at = (name: string) => ({ Bucket: bucket, Key: root + name });

  /** @param within ends with a slash, or is empty */
  async function pages(
    within: string,
    take: (page: ListObjectsV2CommandOutput) => void,
  ): Promise<void> {
    let from: string | undefined;
    do {
      const page = await client.send(
        new s3.ListObjectsV2Command({
          Bucket: bucket,
          Prefix: root + within,
          Delimiter: '/',
          ContinuationToken: from,
        }),
      );
      take(page);
      from = page.NextContinuationToken;
    } while (from !== undefined);
  }

  return {
    has: async (name) =>
      (await unlessGone(client.send(new s3.HeadObjectCommand(at(name))))) !== undefined,
    read: async (name) => {
      const found = await unlessGone(client.send(new s3.GetObjectCommand(at(name))));
      const bytes = await found?.Body?.transformToByteArray();
      return bytes && Buffer.from(bytes);
    },
    write: async (name, bytes) => {
      await client.send(
        new s3.PutObjectCommand({ ...at(name), Body: bytes, ContentType: 'image/jpeg' }),
      );
    },
    remove: async (name) => {
      await client.send(new s3.DeleteObjectCommand(at(name)));
    },
    folders: async () => {
      const found: string[] = [];
      await pages('', ({ CommonPrefixes = [] }) => {
        for (const { Prefix = '' } of CommonPrefixes) found.push(Prefix.slice(root.length, -1));
      });
      return found;
    },
    list: async (folder) => {
      const found: { file: string; at: Date }[] = [];
      await pages(`${folder}/`, ({ Contents = [] }) => {
        for (const { Key = '', LastModified: written } of Contents) {
          if (written)
            found.push({ file: Key.slice(root.length + folder.length + 1), at: written });
        }
      });
      return found;
    },
  };
}

async function unlessGone<Answer>(asked: Promise<Answer>): Promise<Answer | undefined> {
  try {
    return await asked;
  } catch (fault) {
    const { $metadata: said } = fault as { $metadata?: { httpStatusCode?: number } };
    if (said?.httpStatusCode === NOT_THERE) return undefined;
    throw fault;
  }
}
