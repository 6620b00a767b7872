/** Who may do what: accounts, sessions, sign-in and access keys. */
package arborline.server.account;
