import { expose } from "comlink";
import { scheduleWithBuffer } from "~/core/day";

expose({ scheduleWithBuffer });
