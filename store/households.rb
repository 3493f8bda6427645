# frozen_string_literal: true

require_relative "table"
require_relative "topics"
require_relative "../core/dating/policy"

module NutShelf
  module Store
    # The household itself: settings, revision, members' roles.
    class Households < Table
      # SELECT households.*, people_factor FROM households WHERE id = 7
      # @return [Rows::Household]
      def row = found(Rows.typed(db[:households], Rows::Household).where(id: household_id).first, "household")

      # Raises the revision, once a transaction; the row lock also puts the household's writers in a line. What is
      # written to from here on takes that number for its topic: the database sees to it (migration 012).
      # UPDATE households SET revision = revision + (raised_in <> txid_current())::int, raised_in = txid_current() WHERE
      #   id = 7
      # @return [Rows::Household] as it now is
      def bump
        mine = Sequel.function(:txid_current)
        further = Sequel.cast(Sequel.~(raised_in: mine), Integer)
        db[:households]
          .where(id: household_id)
          .returning
          .update(revision: Sequel[:revision] + further, raised_in: mine)
          .first
          .then { |columns| Rows::Household.new(**columns) }
      end

      # @param since [Integer] a revision
      # @return [Array<Symbol>] topics that were written to since
      def changed_since(since, row = self.row) = Topics::ALL.select { |topic| Topics.revision(row, topic) > since }

      # The role somebody has now, after the lock: it may have changed while they waited.
      # SELECT name FROM accounts WHERE id = 3
      # @return [String] the name of an account
      def person(account_id) = db[:accounts].where(id: account_id).get(:name).to_s

      # SELECT role FROM memberships WHERE account_id = 3 AND household_id = 7
      def role_of(account_id) = db[:memberships].where(account_id: account_id, household_id: household_id).get(:role)

      # @return [Core::Policy]
      def policy(row = self.row)
        windows = row.settings.slice("front_days", "soon_days").transform_keys(&:to_sym)
        Core::Policy.new(school: row.school.to_sym, fridge: fridge?, **windows)
      end

      # SELECT 1 AS one FROM places WHERE ... kind = 'fridge' AND archived_at IS NULL LIMIT 1
      # @return [Boolean] whether there is a fridge to put things into
      def fridge? = !rows(:places).where(kind: "fridge", archived_at: nil).empty?

      # @return [Integer] raised by every act
      def revision = db[:households].where(id: household_id).get(:revision)

      # @param changes [Hash] by column
      def update(changes) = db[:households].where(id: household_id).update(changes)

      # @return [Rational] usual portions at a meal: the sum of the eaters' factors, 1 when nobody is entered
      def portions
        sum = rows(:people).where(eats: true, archived_at: nil).sum(:portion_factor)
        sum ? sum.to_r : 1r
      end

      # SELECT * FROM people WHERE household_id = 7 AND archived_at IS NULL ORDER BY id
      def people = rows(:people).where(archived_at: nil).order(:id).all

      # @return [Integer] id
      def add_person(**facts) = insert(:people, facts)

      # Outside the wall: who belongs where.
      # SELECT * FROM memberships WHERE account_id = 3 ORDER BY household_id
      # @param household_id [Integer, nil] the one they chose
      # @return [Rows::Membership, nil] that one, else the first
      def self.membership(db, account_id, household_id = nil)
        rows = memberships(db, account_id)
        rows.find { |row| row.household_id == household_id } || rows.first
      end

      # @return [Array<Integer>] every household somebody belongs to
      def self.ids(db) = db[:memberships].distinct.order(:household_id).select_map(:household_id)

      # @return [String, nil] name of a household this account is the only keeper of
      def self.last_keeper_of(db, account_id)
        kept = db[:memberships].where(account_id: account_id, role: "keeper").select_map(:household_id)
        alone =
          kept.find do |id|
            db[:memberships].where(household_id: id, role: "keeper").exclude(account_id: account_id).empty?
          end
        alone && (named(db, [alone])[alone] || "this house")
      end

      # Outside the wall: the names of households somebody belongs to, one look each.
      # @return [Hash{Integer=>String}]
      def self.named(db, ids)
        db.transaction do
          ids.to_h do |id|
            db.get(Sequel.function(:set_config, "nut_shelf.household", id.to_s, true))
            [id, db[:households].where(id: id).get(:name)]
          end
        end
      end

      # SELECT * FROM memberships WHERE account_id = 3 ORDER BY household_id
      # @return [Array<Rows::Membership>]
      def self.memberships(db, account_id)
        Rows.typed(db[:memberships], Rows::Membership).where(account_id: account_id).order(:household_id).all
      end

      # @return [Boolean] whether nobody has begun here
      def self.empty?(db) = db[:memberships].empty?

      # @return [Integer] id of the new household
      def self.make(db, account_id:, **facts)
        facts[:settings] = Sequel.pg_jsonb(facts[:settings]) if facts[:settings]
        id = db[:households].insert(facts)
        db[:memberships].insert(account_id: account_id, household_id: id, role: "keeper")
        id
      end

      # Makes somebody a member.
      def self.join(db, account_id:, household_id:, role:)
        db[:memberships].insert(account_id: account_id, household_id: household_id, role: role)
      end
    end
  end
end
