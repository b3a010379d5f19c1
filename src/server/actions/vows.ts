'use server';

import type { Outcome } from '@/core/base/outcome';
import { act } from '../access/door';
import { takeOverText, undoText, weighText, type TextWeighed } from '../vows/files';
import { makeVowLink, withdrawVowLinks } from '../vows/links';
import {
  changeVow,
  endVow,
  makeVow,
  pauseVow,
  previewVow,
  removeVow,
  renewVow,
  resumeVow,
  saveHome,
  thankForVow,
  type VowPreview,
} from '../vows/vows';
import { changed } from './changed';
import { asId } from './ids';

/* Vows: as in ./index, ids and input come from outside. */

/** What a vow would be; nothing is written. */
export async function previewVowAction(
  playerId: string,
  input: unknown,
  exceptId: string | null,
): Promise<Outcome<VowPreview>> {
  return act('see', 'vow.look', [], (context) =>
    previewVow(context, asId(playerId), input, exceptId === null ? undefined : asId(exceptId)),
  );
}

export async function makeVowAction(playerId: string, input: unknown): Promise<Outcome<{ id: string }>> {
  return act('write', 'vow.make', [asId(playerId)], async (context) =>
    changed(await makeVow(context, asId(playerId), input)),
  );
}

export async function changeVowAction(id: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'vow.change', [asId(id)], async (context) =>
    changed(await changeVow(context, asId(id), input)),
  );
}

export async function pauseVowAction(id: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'vow.pause', [asId(id)], async (context) =>
    changed(await pauseVow(context, asId(id), input)),
  );
}

export async function resumeVowAction(id: string): Promise<Outcome<null>> {
  return act('write', 'vow.resume', [asId(id)], async (context) =>
    changed(await resumeVow(context, asId(id))),
  );
}

export async function endVowAction(id: string, ended: boolean, input: unknown): Promise<Outcome<null>> {
  return act('write', ended ? 'vow.end' : 'vow.go-on', [asId(id)], async (context) =>
    changed(await endVow(context, asId(id), ended === true, input)),
  );
}

export async function thankForVowAction(id: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'vow.thank', [asId(id)], async (context) =>
    changed(await thankForVow(context, asId(id), input)),
  );
}

export async function removeVowAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'vow.remove' : 'vow.bring-back', [asId(id)], async (context) =>
    changed(await removeVow(context, asId(id), removed === true)),
  );
}

export async function renewVowAction(id: string, smaller: boolean): Promise<Outcome<{ id: string }>> {
  return act('write', 'vow.renew', [asId(id)], async (context) =>
    changed(await renewVow(context, asId(id), smaller === true)),
  );
}

export async function saveHomeAction(playerId: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'home.save', [asId(playerId)], async (context) =>
    changed(await saveHome(context, asId(playerId), input)),
  );
}

export async function makeVowLinkAction(
  playerId: string,
  input: unknown,
): Promise<Outcome<{ token: string }>> {
  return act('write', 'link.vow', [asId(playerId)], async (context) =>
    changed(await makeVowLink(context, asId(playerId), input)),
  );
}

export async function withdrawVowLinksAction(playerId: string): Promise<Outcome<null>> {
  return act('write', 'link.vow-withdraw', [asId(playerId)], async (context) =>
    changed(await withdrawVowLinks(context, asId(playerId))),
  );
}

/** What a text from home would add; nothing is written. */
export async function weighTextAction(text: string): Promise<Outcome<TextWeighed>> {
  return act('see', 'vow.look', [], (context) => weighText(context, text));
}

export async function takeOverTextAction(
  text: string,
): Promise<Outcome<TextWeighed & { readonly ids: readonly string[] }>> {
  return act('write', 'vow.take-over', [], async (context) => changed(await takeOverText(context, text)));
}

export async function undoTextAction(ids: readonly string[]): Promise<Outcome<{ undone: number }>> {
  const known = Array.isArray(ids) ? ids.slice(0, mostMarks).map(asId) : [];
  return act('write', 'vow.take-over-undo', [], async (context) => changed(await undoText(context, known)));
}

/** More marks than a text of a term holds. */
const mostMarks = 5000;
