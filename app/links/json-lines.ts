/** A WebSocket that carries one JSON object a line, as the speaking tools of `docs/formats` do. */
export class JsonLines {
  private socket: WebSocket | null = null

  constructor(private readonly address: string) {}

  /**
   * @param hear called with each object; lines that are none are passed over
   * @param gone called once when it ends or cannot begin, unless it was closed from here
   */
  open(hear: (said: unknown) => void, gone: (neverBegan: boolean) => void): void {
    let socket: WebSocket
    try {
      socket = new WebSocket(this.address)
    } catch {
      gone(true)
      return
    }
    this.socket = socket
    socket.onmessage = ({ data }) => {
      for (const line of String(data)
        .split('\n')
        .filter(part => part.trim())) {
        try {
          hear(JSON.parse(line))
        } catch (error) {
          if (!(error instanceof SyntaxError)) throw error
        }
      }
    }
    socket.onclose = () => {
      if (this.socket !== socket) return
      this.socket = null
      gone(false)
    }
  }

  tell(line: object): void {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send(`${JSON.stringify(line)}\n`)
  }

  close(): void {
    const { socket } = this
    this.socket = null
    socket?.close()
  }
}
