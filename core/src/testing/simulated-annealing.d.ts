/** A general optimiser of the registry (MIT), which comes without types. */
declare module 'simulated-annealing' {
  export default function anneal<State>(given: {
    initialState: State;
    tempMax: number;
    tempMin: number;
    newState: (state: State) => State;
    getTemp: (temperature: number) => number;
    getEnergy: (state: State) => number;
  }): State;
}
