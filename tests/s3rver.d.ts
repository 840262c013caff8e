/** The part of the package that is used: a small server of S3's protocol. */
declare module 's3rver' {
  export default class S3Server {
    constructor(options: {
      readonly port: number;
      readonly directory: string;
      readonly silent: boolean;
      readonly configureBuckets: readonly { readonly name: string; readonly configs: readonly string[] }[];
    });
    run(): Promise<unknown>;
    close(): Promise<void>;
  }
}
