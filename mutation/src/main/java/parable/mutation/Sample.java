package parable.mutation;

import java.util.Collection;
import java.util.SplittableRandom;
import org.pitest.bytecode.analysis.ClassTree;
import org.pitest.mutationtest.build.InterceptorType;
import org.pitest.mutationtest.build.MutationInterceptor;
import org.pitest.mutationtest.engine.Mutater;
import org.pitest.mutationtest.engine.MutationDetails;

/** A random share of all mutants. Which they are depends on the seed and on each mutant alone, not on their order. */
final class Sample implements MutationInterceptor {

    private final long seed;
    private final double share;

    /**
     * A sample.
     *
     * @param share of the mutants, from 0 to 1
     */
    Sample(long seed, double share) {
        this.seed = seed;
        this.share = share;
    }

    @Override
    public InterceptorType type() {
        return InterceptorType.FILTER;
    }

    @Override
    public void begin(ClassTree of) {
        // Nothing is kept of a class.
    }

    @Override
    public Collection<MutationDetails> intercept(Collection<MutationDetails> mutants, Mutater by) {
        return mutants.stream()
                .filter(mutant -> isIn(mutant.getId().toString()))
                .toList();
    }

    /** Whether a mutant is in the sample, by its name. */
    boolean isIn(String mutant) {
        return new SplittableRandom(seed ^ (long) mutant.hashCode() * 0x9E3779B97F4A7C15L).nextDouble() < share;
    }

    @Override
    public void end() {
        // Nothing is kept of a class.
    }
}
