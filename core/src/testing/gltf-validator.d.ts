declare module 'gltf-validator' {
  export interface Report {
    issues: {
      numErrors: number;
      numWarnings: number;
      messages: { code: string; message: string; severity: number; pointer?: string }[];
    };
    info: { animationCount: number };
  }
  export function validateString(json: string): Promise<Report>;
}
