package mensor.server.db;

import org.springframework.aot.AotDetector;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.beans.factory.config.DependencyDescriptor;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.context.annotation.ContextAnnotationAutowireCandidateResolver;
import org.springframework.data.repository.Repository;
import org.springframework.stereotype.Component;

/**
 * Queries are read when they are first asked, also where the build found out what is wired to what: there the framework forgets its
 * own setting for it ({@code bootstrap-mode: lazy}), and reading them all is a third of a start.
 */
@Component
class LazyRepositories implements BeanFactoryPostProcessor {
    @Override
    public void postProcessBeanFactory(ConfigurableListableBeanFactory beans) {
        if (AotDetector.useGeneratedArtifacts() && beans instanceof DefaultListableBeanFactory factory) {
            factory.setAutowireCandidateResolver(new ContextAnnotationAutowireCandidateResolver() {
                @Override
                protected boolean isLazy(DependencyDescriptor wanted) {
                    return Repository.class.isAssignableFrom(wanted.getDependencyType()) || super.isLazy(wanted);
                }
            });
        }
    }
}
