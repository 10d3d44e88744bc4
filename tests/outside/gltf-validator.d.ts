// gltf-validator 2.0.0-dev.3.10 brings no types of its own.
declare module 'gltf-validator' {
  export function validateBytes(
    bytes: Uint8Array,
    options?: { ignoredIssues?: string[] },
  ): Promise<{ issues: { messages: { code: string; message: string; severity: number; pointer?: string }[] } }>;
}
