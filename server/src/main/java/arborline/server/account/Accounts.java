package arborline.server.account;

import arborline.core.library.VisibleText;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.Invitations.Invitation;
import arborline.server.support.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Opens accounts, lets people in and shuts them out. */
@Service
public class Accounts {

  private static final int LONGEST_NAME = 60;
  private static final int MOST_ACCOUNTS = 1_000;

  private final AccountRepository accounts;
  private final PasswordEncoder passwords;
  private final Invitations invitations;
  private final Sessions sessions;
  private final AccessKeys keys;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Accounts(
      AccountRepository accounts,
      PasswordEncoder passwords,
      Invitations invitations,
      Sessions sessions,
      AccessKeys keys,
      ApplicationEventPublisher events,
      Clock clock) {
    this.accounts = accounts;
    this.passwords = passwords;
    this.invitations = invitations;
    this.sessions = sessions;
    this.keys = keys;
    this.events = events;
    this.clock = clock;
  }

  /** Whether somebody can sign in. */
  public enum State {
    /** Has a link, and no password yet. */
    INVITED,
    ACTIVE,
    /** Shut out. */
    DISABLED
  }

  /**
   * An account as the lead sees it.
   *
   * @param invitedUntil how long its link works; null where it has none
   * @param sessions in how many browsers it is signed in
   */
  public record AccountHead(
      long id,
      String name,
      Role role,
      State state,
      Instant createdAt,
      @Nullable Instant signedInAt,
      @Nullable Instant invitedUntil,
      int sessions,
      int keys) {}

  /** True where an account has this password. */
  @Transactional(readOnly = true)
  public boolean has(String name, String password) {
    return accounts
        .findByNameKey(Account.key(name))
        .filter(Account::open)
        .filter(account -> passwords.matches(password, account.passwordHash))
        .isPresent();
  }

  /** Opens an account unless one of that name exists. */
  @Transactional
  public void open(String name, Role role, String password) {
    if (accounts.findByNameKey(Account.key(name)).isEmpty()) {
      accounts.save(new Account(name, role, passwords.encode(password), Instant.now(clock)));
    }
  }

  /** People by name who can be given rights: those who are not shut out. */
  @Transactional(readOnly = true)
  public List<AccountHead> all() {
    return heads(accounts.all(Limit.of(MOST_ACCOUNTS)));
  }

  @Transactional(readOnly = true)
  public AccountHead get(long id) {
    return head(account(id));
  }

  Account account(long id) {
    return accounts.findById(id).orElseThrow(() -> Refusal.notFound("there is no account " + id));
  }

  private AccountHead head(Account account) {
    return heads(List.of(account)).getFirst();
  }

  private List<AccountHead> heads(List<Account> some) {
    Map<Long, Instant> invited = invitations.open();
    Map<String, Integer> signedIn = sessions.counts();
    Map<Long, Integer> held = keys.counts();
    return some.stream()
        .map(account ->
            head(
                account,
                invited.get(account.id),
                signedIn.getOrDefault(account.name, 0),
                held.getOrDefault(account.id, 0)))
        .toList();
  }

  private static AccountHead head(
      Account account, @Nullable Instant invitedUntil, int sessions, int keys) {
    State state =
        account.disabledAt != null
            ? State.DISABLED
            : account.passwordHash == null ? State.INVITED : State.ACTIVE;
    return new AccountHead(
        account.id,
        account.name,
        account.role,
        state,
        account.createdAt,
        account.signedInAt,
        invitedUntil,
        sessions,
        keys);
  }

  /** Opens an account that its owner enters by a link. */
  @Transactional
  public Invited invite(@Nullable String name, @Nullable Role role) {
    String checked = name(name);
    if (role == null) {
      throw Refusal.badRequest("role is LEAD, PROGRAMMER, TOOLROOM, OPERATOR or VISITOR");
    }
    accounts
        .findByNameKey(Account.key(checked))
        .ifPresent(other -> {
          throw Refusal.conflict("there is an account '%s' already".formatted(other.name));
        });
    if (accounts.count() >= MOST_ACCOUNTS) {
      throw Refusal.conflict("there are %d accounts; no more are kept".formatted(MOST_ACCOUNTS));
    }
    Account account = accounts.save(new Account(checked, role, null, Instant.now(clock)));
    Invitation invitation = invitations.renew(account.id);
    told(account, "invited %s as %s".formatted(account.name, role.word()));
    return new Invited(head(account), invitation);
  }

  /** An account with the link by which its owner chooses a password. */
  public record Invited(AccountHead account, Invitation invitation) {}

  private static String name(@Nullable String wanted) {
    String name = Optional.ofNullable(wanted).orElse("").strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw Refusal.badRequest("a name has 1 to %d characters".formatted(LONGEST_NAME));
    }
    VisibleText.fault("the name", name)
        .ifPresent(fault -> {
          throw Refusal.badRequest(fault);
        });
    if (name.contains("(") || name.equalsIgnoreCase("system")) {
      throw Refusal.badRequest(
          "names with a bracket, and 'system', mean keys and background work; take another one");
    }
    return name;
  }

  /** Another link for an account, by which its owner chooses a new password. */
  @Transactional
  public Invited inviteAgain(long id) {
    Account account = account(id);
    if (account.disabledAt != null) {
      throw Refusal.conflict("%s is shut out; let him in first".formatted(account.name));
    }
    Invitation invitation = invitations.renew(id);
    told(account, "made another link for " + account.name);
    return new Invited(head(account), invitation);
  }

  /**
   * Gives an account another role, or shuts it out or in again; whoever is signed in with it has to
   * sign in again.
   */
  @Transactional
  public AccountHead change(long id, @Nullable Role role, @Nullable Boolean disabled) {
    List<Account> leads = accounts.lockedLeads();
    Account account = account(id);
    boolean leaves = role != null && role != Role.LEAD || Boolean.TRUE.equals(disabled);
    boolean last = leads.stream().filter(Account::open).allMatch(lead -> lead.id == id);
    if (account.role == Role.LEAD && account.open() && leaves && last) {
      throw Refusal.conflict(
          "%s is the only lead who can sign in; make somebody else a lead first"
              .formatted(account.name));
    }
    if (role != null && !role.mostRight().includes(LibraryRight.OWNER)) {
      events.publishEvent(new AccountLeaves(account.id, account.name));
    }
    if (role != null && role != account.role) {
      told(
          account,
          "made %s %s, who was %s".formatted(account.name, role.word(), account.role.word()));
      account.role = role;
    }
    if (disabled != null) {
      shut(account, disabled);
    }
    sessions.end(account.name, null);
    keys.forget();
    return head(account);
  }

  private void shut(Account account, boolean out) {
    if (out && account.disabledAt == null) {
      events.publishEvent(new AccountLeaves(account.id, account.name));
      account.disabledAt = Instant.now(clock);
      invitations.end(account.id);
      told(account, "shut out " + account.name);
    } else if (!out && account.disabledAt != null) {
      account.disabledAt = null;
      told(account, "let %s in again".formatted(account.name));
    }
  }

  private void told(Account account, String text) {
    events.publishEvent(new AccountDone(account.id, text));
  }

  /** Signs an account out of all browsers; of how many. */
  @Transactional
  public int signOut(long id) {
    Account account = account(id);
    told(account, "signed %s out everywhere".formatted(account.name));
    return sessions.end(account.name, null);
  }

  /** Whoever acts, by his account. */
  Account own() {
    return Actor.account()
        .flatMap(accounts::findById)
        .orElseThrow(
            () -> Refusal.conflict("a key of a role has no account of its own; sign in by name"));
  }

  /** Gives whoever acts another password; elsewhere he has to sign in again. */
  @Transactional
  public void ownPassword(@Nullable String old, @Nullable String fresh, @Nullable String session) {
    Account account = own();
    if (old == null || !passwords.matches(old, account.passwordHash)) {
      throw Refusal.badRequest("the old password is another one");
    }
    account.passwordHash = passwords.encode(PasswordRule.checked(fresh, account.name));
    sessions.end(account.name, session);
  }

  /** The library that is proposed first to whoever acts; null for none. */
  @Transactional
  public void ownDefault(@Nullable Long library) {
    own().defaultLibraryId = library;
  }

  /** Whom a link invites. */
  @Transactional(readOnly = true)
  public Welcome welcome(String token) {
    Account account = invited(token);
    return new Welcome(account.name, account.role, account.passwordHash != null);
  }

  /**
   * Who may choose a password.
   *
   * @param again true where he had one before
   */
  public record Welcome(String name, Role role, boolean again) {}

  private Account invited(String token) {
    return invitations
        .account(token)
        .flatMap(accounts::findById)
        .filter(account -> account.disabledAt == null)
        .orElseThrow(() ->
            Refusal.notFound("this link was used, or is too old; ask the lead for another one"));
  }

  /** Takes the password that somebody chose; the link is used up. */
  @Transactional
  public Welcome accept(String token, @Nullable String password) {
    Account account = invited(token);
    String chosen = PasswordRule.checked(password, account.name);
    if (!invitations.use(token)) {
      throw Refusal.notFound("this link was used, or is too old; ask the lead for another one");
    }
    boolean again = account.passwordHash != null;
    account.passwordHash = passwords.encode(chosen);
    sessions.end(account.name, null);
    told(account, account.name + " chose a password by a link");
    return new Welcome(account.name, account.role, again);
  }

  /** Notes when somebody signed in. */
  @Transactional
  void signedIn(long id) {
    account(id).signedInAt = Instant.now(clock);
  }
}
