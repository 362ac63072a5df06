package parable.mutation;

import org.pitest.mutationtest.build.InterceptorParameters;
import org.pitest.mutationtest.build.MutationInterceptor;
import org.pitest.mutationtest.build.MutationInterceptorFactory;
import org.pitest.plugin.Feature;
import org.pitest.plugin.FeatureParameter;

/** Makes a sample where the mutation tool is told {@code +SAMPLE(seed[7] permille[40])}. */
public final class SampleFactory implements MutationInterceptorFactory {

    private static final FeatureParameter SEED =
            FeatureParameter.named("seed").withDescription("which mutants are in the sample");
    private static final FeatureParameter PERMILLE =
            FeatureParameter.named("permille").withDescription("how many of a thousand mutants are in the sample");

    @Override
    public MutationInterceptor createInterceptor(InterceptorParameters parameters) {
        return new Sample(
                parameters.getInteger(SEED).orElse(1),
                parameters.getInteger(PERMILLE).orElse(1000) / 1000.0);
    }

    @Override
    public Feature provides() {
        return Feature.named("SAMPLE")
                .withOnByDefault(false)
                .withDescription(description())
                .withParameter(SEED)
                .withParameter(PERMILLE);
    }

    @Override
    public String description() {
        return "A random share of all mutants";
    }
}
