import { expose } from "comlink";
import { vi } from "vitest";
import { intervalJobs } from "./interval-jobs";
import { solverJobs } from "./solver-jobs";

/** A worker that works in this thread: what goes over is copied, as it is between threads. */
export class WorkerHere {
  /** Those that were not ended. */
  static readonly running = new Set<WorkerHere>();
  private readonly port: MessagePort;

  constructor(script: URL) {
    const { port1, port2 } = new MessageChannel();
    this.port = port1;
    expose(script.pathname.includes("solver") ? solverJobs : intervalJobs(), port2);
    WorkerHere.running.add(this);
  }
  postMessage(message: unknown, transfer: Transferable[] = []): void {
    this.port.postMessage(message, transfer);
  }
  addEventListener(...heard: Parameters<MessagePort["addEventListener"]>): void {
    this.port.addEventListener(...heard);
    this.port.start();
  }
  removeEventListener(...heard: Parameters<MessagePort["removeEventListener"]>): void {
    this.port.removeEventListener(...heard);
  }
  terminate(): void {
    this.port.close();
    WorkerHere.running.delete(this);
  }
}

/** Lets pages have workers in a test that has none. */
export const haveWorkers = (): void => void vi.stubGlobal("Worker", WorkerHere);
