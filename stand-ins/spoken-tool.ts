import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { WebSocket, WebSocketServer } from 'ws'
import { listen } from './listen'
import type { RunningStandIn } from './listen'

/** A tool that speaks: one room for Eldrin, one for the page that holds it. */
export interface SpokenTool {
  eldrin: WebSocketServer
  hand: WebSocketServer
  tell: (room: WebSocketServer, message: object) => void
  listen: (port: number) => Promise<RunningStandIn>
}

/**
 * The server of a speaking tool: its page at `/`, the hand's room at `/hand`, Eldrin's at the path given.
 * @param page file of the page that holds the tool
 */
export function spokenTool(page: string, path: string): SpokenTool {
  const server = createServer((request, response) => {
    if (request.url !== '/') {
      response.writeHead(404).end('There is nothing here.')
      return
    }
    response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(readFileSync(page))
  })
  const eldrin = new WebSocketServer({ noServer: true })
  const hand = new WebSocketServer({ noServer: true })
  server.on('upgrade', (request, socket, head) => {
    const room = request.url === path ? eldrin : request.url === '/hand' ? hand : null
    if (!room) socket.destroy()
    else room.handleUpgrade(request, socket, head, client => room.emit('connection', client))
  })
  return {
    eldrin,
    hand,
    tell: (room, message) => {
      for (const client of room.clients)
        if (client.readyState === WebSocket.OPEN) client.send(`${JSON.stringify(message)}\n`)
    },
    listen: port =>
      listen(server, port, () => {
        for (const client of [...eldrin.clients, ...hand.clients]) client.terminate()
      }),
  }
}
