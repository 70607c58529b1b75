package app.kemdro.solver;
import app.kemdro.core.schedule.*;
import app.kemdro.core.plan.*;
import org.junit.jupiter.api.Test;
import java.time.Duration;
import java.util.*;
class ScratchTest {
  @Test void x() {
    ExactProver prover=new ExactProver();
    System.out.println("works "+prover.works());
    long t=System.nanoTime();
    for(long seed=0;seed<25;seed++){
      TaskNetwork n=Networks.random(seed);
      Outcome o=Planner.trying(400).plan(n);
      Optional<Schedule> known=o instanceof Outcome.Planned p?Optional.of(p.schedule()):Optional.empty();
      long a=System.nanoTime();
      Prover.Proof proof=prover.prove(n,known,Duration.ofSeconds(4),()->false);
      System.out.printf("seed %d n=%d w=%d known %s exact %s least %d best %s imp %s %.2fs %s%n",seed,n.tasks().size(),n.workers().size(),known.map(s->""+s.ready()).orElse(o.toString().substring(0,20)),proof.schedule().map(s->""+s.ready()).orElse("-"),proof.leastReady(),proof.isBest(),proof.impossible(),(System.nanoTime()-a)/1e9,proof.schedule().map(s->ScheduleCheck.problems(n,s).toString()).orElse(""));
    }
    for (var crew : List.of(List.of(Samples.lead("Ines")), List.of(Samples.lead("Ines"),Samples.assistant("Pell")))) {
      Plan plan=Samples.planned(Samples.bellFounder(),Samples.brief(crew.toArray(new app.kemdro.core.look.Brief.Hands[0])));
      for(int s: new int[]{2,10}){
      long a=System.nanoTime();
      Prover.Proof proof=prover.prove(plan.network(),Optional.of(plan.schedule()),Duration.ofSeconds(s),()->false);
      System.out.printf("bell %d hands: %d -> %d least %d %.2fs %s%n",crew.size(),plan.schedule().ready()/60,proof.schedule().get().ready()/60,proof.leastReady()/60,(System.nanoTime()-a)/1e9,ScheduleCheck.problems(plan.network(),proof.schedule().get()));
      }
    }
  }
}
