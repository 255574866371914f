/** Made by the build: the files of Work, in the folder of built files. */
declare module '#parts-of-work' {
  export const partsOfWork: string[]
}
