package gotera.web.storage;

import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.transaction.autoconfigure.TransactionManagerCustomizer;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.orm.jpa.JpaTransactionManager;
import org.springframework.orm.jpa.vendor.HibernateJpaVendorAdapter;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.filter.OncePerRequestFilter;

/** How the database is spoken to. */
@Configuration
class StorageConfiguration {
  /** Whoever would write within a page that is only read is refused, not forgotten. */
  @Bean
  TransactionManagerCustomizer<JpaTransactionManager> strict() {
    return manager -> manager.setValidateExistingTransaction(true);
  }

  /**
   * Each statement about a session stands for itself: a session that was written half, because all
   * was killed, is one without an account. What goes on around it neither keeps it nor takes it
   * back.
   */
  @Bean
  TransactionOperations springSessionTransactionOperations(PlatformTransactionManager manager) {
    TransactionTemplate apart = new TransactionTemplate(manager);
    apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    TransactionOperations alone = TransactionOperations.withoutTransaction();
    return new TransactionOperations() {
      @Override
      public <T extends @Nullable Object> T execute(TransactionCallback<T> action) {
        return TransactionSynchronizationManager.isActualTransactionActive()
            ? apart.execute(action)
            : alone.execute(action);
      }
    };
  }

  /**
   * Puts sparing sessions in the place of those of the database; and does not tell the database
   * that a transaction only reads, which would cost two round trips for each.
   */
  @Bean
  static BeanPostProcessor sparing() {
    return new BeanPostProcessor() {
      @Override
      public Object postProcessAfterInitialization(Object bean, String name) {
        if (bean instanceof HibernateJpaVendorAdapter adapter) {
          adapter.setPrepareConnection(false);
        }
        return bean instanceof JdbcIndexedSessionRepository s ? new SparingSessions<>(s) : bean;
      }
    };
  }

  /** Around the filter of sessions, which writes them when the answer is made. */
  @Bean
  FilterRegistrationBean<OncePerRequestFilter> sessionsInHand(
      FindByIndexNameSessionRepository<?> sessions) {
    SparingSessions<?> sparing = (SparingSessions<?>) sessions;
    FilterRegistrationBean<OncePerRequestFilter> registration =
        new FilterRegistrationBean<>(
            new OncePerRequestFilter() {
              @Override
              protected void doFilterInternal(
                  jakarta.servlet.http.HttpServletRequest request,
                  jakarta.servlet.http.HttpServletResponse response,
                  jakarta.servlet.FilterChain chain)
                  throws jakarta.servlet.ServletException, java.io.IOException {
                sparing.begin();
                try {
                  chain.doFilter(request, response);
                } finally {
                  sparing.end();
                }
              }

              @Override
              protected boolean shouldNotFilterAsyncDispatch() {
                return false;
              }

              @Override
              protected boolean shouldNotFilterErrorDispatch() {
                return false;
              }
            });
    registration.setOrder(Ordered.HIGHEST_PRECEDENCE + 2);
    return registration;
  }
}
