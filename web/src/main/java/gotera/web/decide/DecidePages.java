package gotera.web.decide;

import gotera.circuit.Circuit;
import gotera.decide.Decision;
import gotera.decide.Decision.Option;
import gotera.decide.RepairKind;
import gotera.decide.RepairOrder;
import gotera.decide.RepairOrder.Bundle;
import gotera.decide.Shop;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.decide.DecidePage.Choice;
import gotera.web.decide.DecidePage.LineShown;
import gotera.web.decide.DecidePage.StepShown;
import gotera.web.decide.DecidePage.Way;
import gotera.web.decide.PriceService.Rates;
import gotera.web.decide.QuoteService.Price;
import gotera.web.decide.QuoteService.QuoteLine;
import gotera.web.evidence.SuspectsService;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Makes the page Decide, and the lines that go from it onto the customer's sheet. */
@Component
class DecidePages {
  private static final int MOST_NAMED = 3;

  private final SuspectsService suspects;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final OpenPointsService open;
  private final PriceService prices;
  private final QuoteService quotes;
  private final Money money;
  private final Words words;

  DecidePages(
      SuspectsService suspects,
      CircuitService circuits,
      CircuitWords names,
      OpenPointsService open,
      PriceService prices,
      QuoteService quotes,
      Money money,
      Words words) {
    this.suspects = suspects;
    this.circuits = circuits;
    this.names = names;
    this.open = open;
    this.prices = prices;
    this.quotes = quotes;
    this.money = money;
    this.words = words;
  }

  DecidePage page(UUID jobId) {
    Decision decision = decision(jobId);
    Shop shop = prices.shop();
    Rates rates = prices.rates();
    List<Way> ways = new ArrayList<>();
    for (int i = 0; i < decision.ways().size(); i++) {
      ways.add(way(jobId, decision, decision.ways().get(i), i));
    }
    return new DecidePage(
        suspects.claim(jobId),
        !decision.found().isEmpty(),
        open.untested(jobId),
        suspects.meanings(jobId),
        suspects.flags(jobId),
        ways,
        choices(jobId, decision.neighbours()),
        choices(jobId, decision.besides()),
        rates.currency().isEmpty()
            ? List.of()
            : decision.repairs().stream()
                .filter(o -> !shop.priced(o.kind()))
                .map(o -> name(jobId, o))
                .toList(),
        lines(jobId),
        rates.taxPercent() > 0 ? words.say("money.tax", Figures.plain(rates.taxPercent())) : "");
  }

  Decision decision(UUID jobId) {
    return Decision.of(suspects.assess(jobId), prices.shop());
  }

  /** Whether a place is found: else a repair is a try. */
  boolean isFound(UUID jobId) {
    return !decision(jobId).found().isEmpty();
  }

  /** A way as a line of the sheet. */
  record Offered(String what, String detail, Price price) {}

  /** The way of a number, as it goes onto the sheet. */
  java.util.Optional<Offered> way(UUID jobId, int number) {
    Decision decision = decision(jobId);
    if (number < 0 || number >= decision.ways().size()) {
      return java.util.Optional.empty();
    }
    RepairOrder order = decision.ways().get(number);
    Way shown = way(jobId, decision, order, number);
    Price price =
        new Price(
            OptionalDouble.of(order.bundles().get(0).paid()),
            OptionalDouble.of(order.paid()),
            OptionalDouble.of(order.bundles().stream().mapToDouble(Bundle::paid).sum()),
            prices.rates().currency());
    String what = isFound(jobId) ? shown.name() : words.say("decide.as-try", shown.name());
    return java.util.Optional.of(new Offered(what, shown.ends(), price));
  }

  /** The neighbour of a name, as it goes onto the sheet. */
  java.util.Optional<Offered> neighbour(UUID jobId, String repair) {
    Decision decision = decision(jobId);
    return decision.offered().stream()
        .filter(o -> o.repair().name().equals(repair))
        .findFirst()
        .map(
            o -> {
              // a part whose price nobody knows costs not nothing
              OptionalDouble cost =
                  prices.shop().priced(o.kind()) || prices.rates().currency().isEmpty()
                      ? OptionalDouble.of(o.repair().cost())
                      : OptionalDouble.empty();
              return new Offered(
                  name(jobId, o),
                  words.say(
                      decision.neighbours().contains(o) ? "decide.while-open" : "decide.ran-hot"),
                  new Price(cost, cost, cost, prices.rates().currency()));
            });
  }

  private Way way(UUID jobId, Decision decision, RepairOrder order, int number) {
    String currency = prices.rates().currency();
    List<StepShown> steps = new ArrayList<>();
    for (Bundle b : order.bundles()) {
      String does = names(jobId, decision, b);
      boolean mostly = b.reached() >= Decision.MOSTLY;
      steps.add(new StepShown(does, money.say(b.paid(), currency), parts(decision, b), mostly));
    }
    double all = order.bundles().stream().mapToDouble(Bundle::paid).sum();
    Bundle first = order.bundles().get(0);
    String name =
        order.bundles().stream()
            .filter(b -> b.reached() > Decision.SELDOM)
            .limit(MOST_NAMED)
            .map(b -> names(jobId, decision, b))
            .collect(Collectors.joining(words.say("decide.then")));
    return new Way(
        name,
        why(first, number),
        steps,
        ends(jobId, decision, order),
        money.say(order.paid(), currency),
        words.say("decide.range", money.say(first.paid(), currency), money.say(all, currency)));
  }

  /** When the last of its parts is there, and what the shop noted of them. */
  private String parts(Decision decision, Bundle bundle) {
    Shop shop = prices.shop();
    List<Shop.Price> known =
        bundle.repairs().stream()
            .map(r -> shop.price(decision.option(r).kind()).orElse(Shop.Price.UNKNOWN))
            .toList();
    Stream<String> there =
        known.stream().flatMapToDouble(p -> p.days().stream()).max().stream()
            .mapToObj(days -> words.say("decide.parts-there", days));
    Stream<String> notes = known.stream().map(Shop.Price::note).filter(n -> !n.isEmpty());
    return Stream.concat(there, notes.distinct()).collect(Collectors.joining(" \u00b7 "));
  }

  private String why(Bundle first, int number) {
    if (number == 0) {
      return words.say("decide.cheapest");
    }
    return words.say(first.repairs().size() > 1 ? "decide.together" : "decide.one-by-one");
  }

  /** After which steps the leak is gone, and how often after none. */
  private String ends(UUID jobId, Decision decision, RepairOrder order) {
    List<String> ends = new ArrayList<>();
    order.bundles().stream()
        .limit(2)
        .map(b -> words.say("decide.ends", names(jobId, decision, b), percent(b.fixed())))
        .forEach(ends::add);
    if (order.unsolved() > Decision.SELDOM) {
      ends.add(words.say("decide.unsolved", percent(order.unsolved())));
    }
    return String.join(", ", ends);
  }

  private static String percent(double share) {
    return Figures.fixed(100 * share, 0);
  }

  private String names(UUID jobId, Decision decision, Bundle bundle) {
    return bundle.repairs().stream()
        .map(decision::option)
        .map(o -> name(jobId, o))
        .collect(Collectors.joining(" + "));
  }

  private String name(UUID jobId, Option option) {
    Circuit circuit = circuits.circuit(jobId);
    boolean joint = option.at().contains(".") && option.kind() != RepairKind.HEATER_CORE;
    String at =
        joint
            ? names.joint(circuit, option.at())
            : names.part(circuit, option.at().replaceAll("\\..*", ""));
    return words.say("repair-of." + option.kind().word(), at);
  }

  private List<Choice> choices(UUID jobId, List<Option> options) {
    String currency = prices.rates().currency();
    return options.stream()
        .map(
            o ->
                new Choice(
                    name(jobId, o),
                    o.repair().name(),
                    prices.shop().priced(o.kind()) || currency.isEmpty()
                        ? money.say(o.repair().cost(), currency)
                        : words.say("decide.no-price")))
        .toList();
  }

  List<LineShown> lines(UUID jobId) {
    return quotes.lines(jobId).stream().map(this::line).toList();
  }

  private LineShown line(QuoteLine l) {
    String said =
        l.decided().what() == DecisionWord.OPEN
            ? ""
            : words.say("decided." + l.decided().what().word())
                + l.decided().until().map(d -> " " + words.say("decided.until", d)).orElse("")
                + (l.decided().by().isEmpty() ? "" : " \u00b7 " + l.decided().by());
    return new LineShown(
        l.id().toString(),
        l.kind().word(),
        l.what(),
        l.detail(),
        l.kind() == LineKind.CONSENT ? "" : money.say(l.price()),
        l.decided().what().word(),
        said);
  }
}
