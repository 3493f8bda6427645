# frozen_string_literal: true

require "sequel"

module NutShelf
  module Store
    # Accounts, which stand outside the household wall.
    module Accounts
      module_function

      # Forgets the wrong tries of an account.
      # DELETE FROM account_lockouts WHERE id = 3; DELETE FROM account_login_failures WHERE id = 3
      # @return [Boolean] whether there is such an account
      def unlock(db, email)
        id = db[:accounts].where(email: email).get(:id) or return false
        %i[account_lockouts account_login_failures].each { |table| db[table].where(id: id).delete }
        true
      end
    end
  end
end
