// Asks @dagrejs/graphlib whether what comes before what makes a circle, and whether an order keeps to it.
import { Graph, alg } from '@dagrejs/graphlib';
import { given } from './stdin.mjs';

process.stdout.write(
  JSON.stringify(
    given().map(({ after, order }) => {
      const graph = new Graph();
      for (const id of Object.keys(after)) graph.setNode(id);
      for (const [id, before] of Object.entries(after)) for (const one of before) graph.setEdge(one, id);
      const place = new Map(order.map((id, at) => [id, at]));
      return {
        isAcyclic: alg.isAcyclic(graph),
        circles: alg.findCycles(graph),
        loops: graph
          .edges()
          .filter(({ v, w }) => v === w)
          .map(({ v }) => v),
        keeps: order.length === graph.nodeCount() && graph.edges().every(({ v, w }) => place.get(v) < place.get(w)),
      };
    }),
  ),
);
