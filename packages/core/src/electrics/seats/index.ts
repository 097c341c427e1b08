export { type SensorSeat, lookalike, sensorSeat } from './sensorSeats.ts';
export { drillInWords, toolInWords } from './toolInWords.ts';
export { type SeatWork, type ToolNeed, seatTools, seatWorks, usualSeat } from './seatWork.ts';
