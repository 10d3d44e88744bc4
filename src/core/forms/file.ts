import { z } from 'zod';
import { isHash, type FileKind, type FileRef } from '../kept';
import { controlled, fieldOf, type Field, type Info } from './field';

/** A kept file, by what it holds; null for none. @param of what it is for */
export const file = (of: FileKind, initial: FileRef | null, info: Info): Field<FileRef | null> =>
  fieldOf<FileRef | null>(
    z
      .object({
        hash: z.string().refine(isHash, { error: 'must be the hash of a file: 64 hexadecimal digits' }),
        name: z.string().min(1).max(255),
      })
      .nullable(),
    initial,
    controlled('file', info, { file: of }),
  );
