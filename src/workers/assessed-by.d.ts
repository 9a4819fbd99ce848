declare namespace NodeJS {
  interface ProcessEnv {
    /** The key of the program as far as an assessment reaches it, written in by the build. */
    readonly ASSESSED_BY: string
  }
}
