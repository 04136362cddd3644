package gotera.web.storage;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.DefaultTransactionDefinition;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A page of a job is read in one transaction: all its parts see the job at one moment, and the
 * database is asked on one connection without a beginning and an end around every question. Such a
 * page writes nothing; whoever tries within it is refused.
 */
@Configuration
class PageRead implements WebMvcConfigurer, HandlerInterceptor {
  private static final String READ = PageRead.class.getName();

  private final PlatformTransactionManager transactions;

  PageRead(PlatformTransactionManager transactions) {
    this.transactions = transactions;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry
        .addInterceptor(this)
        .addPathPatterns("/jobs/*/**", "/tests/**")
        .excludePathPatterns("/jobs/closed")
        .order(Ordered.HIGHEST_PRECEDENCE);
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (request.getMethod().equals("GET")
        && handler instanceof HandlerMethod method
        && method.getReturnType().getParameterType() == String.class) {
      DefaultTransactionDefinition reading = new DefaultTransactionDefinition();
      reading.setReadOnly(true);
      request.setAttribute(READ, transactions.getTransaction(reading));
    }
    return true;
  }

  /** All is read before the page is made of it. */
  @Override
  public void postHandle(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable ModelAndView page) {
    end(request);
  }

  @Override
  public void afterCompletion(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable Exception problem) {
    end(request);
  }

  private void end(HttpServletRequest request) {
    // nothing was written, so there is nothing to commit
    if (request.getAttribute(READ) instanceof TransactionStatus read) {
      request.removeAttribute(READ);
      transactions.rollback(read);
    }
  }
}
