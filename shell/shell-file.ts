/** A file of the shell; its revision is that of its content, where its name does not say so already. */
export interface ShellFile {
  url: string
  revision: string | null
}
