import { canonical } from "../base/canonical.ts";
import type { Sealed } from "./exerciseFile.ts";

/** Rounds of PBKDF2: a fifth of a second here, and as long for each guess. */
const ROUNDS = 310_000;

const bytes = (text: string): Uint8Array<ArrayBuffer> =>
  new TextEncoder().encode(text) as Uint8Array<ArrayBuffer>;
const toBase64 = (data: Uint8Array): string => btoa(String.fromCharCode(...data));
const fromBase64 = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(text), (c) => c.charCodeAt(0));

async function keyFrom(
  passphrase: string,
  salt: Uint8Array<ArrayBuffer>,
  rounds: number,
): Promise<CryptoKey> {
  const { subtle } = crypto;
  const base = await subtle.importKey("raw", bytes(passphrase), "PBKDF2", false, ["deriveKey"]);
  return subtle.deriveKey(
    { name: "PBKDF2", hash: "SHA-256", salt, iterations: rounds },
    base,
    { name: "AES-GCM", length: 256 },
    false,
    ["encrypt", "decrypt"],
  );
}

/** Encrypts a text under a passphrase (Web Crypto: PBKDF2 with SHA-256, AES-GCM). */
export async function seal(text: string, passphrase: string): Promise<Sealed> {
  const salt = crypto.getRandomValues(new Uint8Array(16));
  const iv = crypto.getRandomValues(new Uint8Array(12));
  const key = await keyFrom(passphrase, salt, ROUNDS);
  const data = await crypto.subtle.encrypt({ name: "AES-GCM", iv }, key, bytes(text));
  return {
    rounds: ROUNDS,
    salt: toBase64(salt),
    iv: toBase64(iv),
    data: toBase64(new Uint8Array(data)),
  };
}

/** @returns null: the passphrase is another, or the seal is damaged */
export async function unseal(sealed: Sealed, passphrase: string): Promise<string | null> {
  try {
    const key = await keyFrom(passphrase, fromBase64(sealed.salt), sealed.rounds);
    const text = await crypto.subtle.decrypt(
      { name: "AES-GCM", iv: fromBase64(sealed.iv) },
      key,
      fromBase64(sealed.data),
    );
    return new TextDecoder().decode(text);
  } catch {
    return null;
  }
}

/** SHA-256 of a value's canonical JSON, as 64 hexadecimal digits. */
export async function digest(value: unknown): Promise<string> {
  const hash = await crypto.subtle.digest("SHA-256", bytes(canonical(value)));
  return [...new Uint8Array(hash)].map((b) => b.toString(16).padStart(2, "0")).join("");
}
